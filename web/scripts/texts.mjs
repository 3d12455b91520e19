// Holds the texts of all languages to each other and to the screens: the same keys with the same names in them, and
// none that no screen asks for. That every key asked for exists, the types hold.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const root = new URL('..', import.meta.url).pathname
const texts = join(root, 'src/i18n')
const languages = readdirSync(texts, { withFileTypes: true })
  .filter(d => d.isDirectory())
  .map(d => d.name)
const subjects = readdirSync(join(texts, 'en')).filter(f => f.endsWith('.json'))
const read = (language, subject) => JSON.parse(readFileSync(join(texts, language, subject), 'utf8'))
const holes = text => [...new Set(text.match(/\{\w+\}/g))].sort().join(' ')

const sources = readdirSync(join(root, 'src'), { recursive: true })
  .filter(f => /\.(vue|ts)$/.test(f))
  .map(f => readFileSync(join(root, 'src', f), 'utf8'))
  .join('\n')

const wrong = []
for (const subject of subjects) {
  const en = read('en', subject)
  for (const key of Object.keys(en)) {
    if (!sources.includes(`'${subject.replace('.json', '')}.${key}'`))
      wrong.push(`no screen asks for ${subject} ${key}`)
  }
  for (const language of languages) {
    const other = read(language, subject)
    for (const key of new Set([...Object.keys(en), ...Object.keys(other)])) {
      if (!(key in other)) wrong.push(`${language} lacks ${subject} ${key}`)
      else if (!(key in en)) wrong.push(`${language} alone has ${subject} ${key}`)
      else if (holes(en[key]) !== holes(other[key]))
        wrong.push(`${language} has other names in ${subject} ${key}: ${other[key]}`)
      else if (en[key].split(' | ').length !== other[key].split(' | ').length)
        wrong.push(`${language} has other forms of ${subject} ${key}`)
    }
  }
}
for (const line of wrong) console.error(line)
if (wrong.length > 0) process.exit(1)
