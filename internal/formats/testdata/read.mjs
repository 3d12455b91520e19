// Reads a calendar with a reader of its own (ical.js) and tells each event's begin and end in UTC.
import { readFileSync } from 'node:fs'
import ICAL from '../../../web/node_modules/ical.js/dist/ical.js'

const calendar = new ICAL.Component(ICAL.parse(readFileSync(0, 'utf8')))
for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone)
const events = calendar.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c))
const utc = (time) => time.toJSDate().toISOString()
console.log(JSON.stringify(events.map((e) => ({ uid: e.uid, summary: e.summary, sequence: e.sequence, status: e.component.getFirstPropertyValue('status'), begins: utc(e.startDate), ends: utc(e.endDate) }))))
