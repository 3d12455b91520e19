import { openDB, type DBSchema } from 'idb'
import type { Schemas } from '../api/client'

/** An event that is told and not yet known to be in the server's log. */
export interface Waiting {
  order?: number
  dog: string
  sitting: string
  event: Schemas['Event']
}

interface Box extends DBSchema {
  events: { key: number; value: Waiting; indexes: { sitting: string } }
}

/** The browser's own database: what waits here outlives a closed tab, a stopped server, an empty battery. */
const box = openDB<Box>('fribbet', 1, {
  upgrade(db) {
    db.createObjectStore('events', { keyPath: 'order', autoIncrement: true }).createIndex('sitting', 'sitting')
  },
})

/** Written as plain JSON: the database cannot hold a screen's reactive values. */
export const put = async (w: Waiting) => (await box).add('events', JSON.parse(JSON.stringify(w)))

/** What waits for a sitting, in the order in which it was told. */
export const waiting = async (sitting: string) => (await box).getAllFromIndex('events', 'sitting', sitting)

export async function drop(orders: number[]) {
  const tx = (await box).transaction('events', 'readwrite')
  await Promise.all([...orders.map((o) => tx.store.delete(o)), tx.done])
}
