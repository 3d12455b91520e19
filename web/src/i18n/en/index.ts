import api from './api.json'
import app from './app.json'
import bench from './bench.json'
import book from './book.json'
import chart from './chart.json'
import dates from './dates.json'
import dog from './dog.json'
import due from './due.json'
import glossary from './glossary.json'
import hindsight from './hindsight.json'
import kit from './kit.json'
import ladder from './ladder.json'
import list from './list.json'
import local from './local.json'
import nail from './nail.json'
import owners from './owners.json'
import parts from './parts.json'
import photo from './photo.json'
import practice from './practice.json'
import rank from './rank.json'
import ready from './ready.json'
import record from './record.json'
import rhythm from './rhythm.json'
import round from './round.json'
import saved from './saved.json'
import settings from './settings.json'
import slices from './slices.json'
import start from './start.json'
import today from './today.json'
import units from './units.json'
import walk from './walk.json'
import week from './week.json'
import words from './words.json'

export default {
  api,
  app,
  bench,
  book,
  chart,
  dates,
  dog,
  due,
  glossary,
  hindsight,
  kit,
  ladder,
  list,
  local,
  nail,
  owners,
  parts,
  photo,
  practice,
  rank,
  ready,
  record,
  rhythm,
  round,
  saved,
  settings,
  slices,
  start,
  today,
  units,
  walk,
  week,
  words,
}
