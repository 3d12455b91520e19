import { openDB, type DBSchema } from 'idb'
import type { Schemas } from '../api/client'

/** An event that is told and not yet known to be in the server's log. */
export interface Waiting {
  order?: number
  dog: string
  sitting: string
  event: Schemas['Event']
}

/** One that the book will not take, with why: kept where it can be read, told again or forgotten. */
export interface Aside extends Waiting {
  order: number
  why: string
}

interface Box extends DBSchema {
  events: { key: number; value: Waiting; indexes: { sitting: string } }
  aside: { key: number; value: Aside; indexes: { sitting: string } }
}

/** The browser's own database: what waits here outlives a closed tab, a stopped server, an empty battery. */
const box = openDB<Box>('fribbet', 2, {
  upgrade(db, version) {
    if (version < 1) db.createObjectStore('events', { keyPath: 'order', autoIncrement: true }).createIndex('sitting', 'sitting')
    db.createObjectStore('aside', { keyPath: 'order' }).createIndex('sitting', 'sitting')
  },
  blocking: (_old, _new, event) => (event.target as IDBDatabase).close(), // a newer page waits for this one
})

let last: Promise<unknown> = Promise.resolve()

/**
 * Keeps what one press told, all of it or nothing, and after what was told before it: however fast one
 * presses, an end does not overtake the nails before it. Written as plain JSON: the database cannot hold a
 * screen's reactive values.
 */
export function put(...all: Waiting[]) {
  const write = async () => {
    const tx = (await box).transaction('events', 'readwrite')
    await Promise.all([...all.map((w) => tx.store.add(JSON.parse(JSON.stringify(w)))), tx.done])
  }
  const mine = last.then(write)
  last = mine.catch(() => undefined)
  return mine
}

/** What waits for a sitting, in the order in which it was told. */
export const waiting = async (sitting: string) => (await box).getAllFromIndex('events', 'sitting', sitting)

export async function drop(orders: number[]) {
  const tx = (await box).transaction('events', 'readwrite')
  await Promise.all([...orders.map((o) => tx.store.delete(o)), tx.done])
}

/** Takes one out of what waits and keeps it aside, both or neither. */
export async function putAside(w: Waiting, why: string) {
  const tx = (await box).transaction(['events', 'aside'], 'readwrite')
  await Promise.all([tx.objectStore('aside').put({ ...w, order: w.order!, why }), tx.objectStore('events').delete(w.order!), tx.done])
}

export const asideOf = async (sitting: string) => (await box).getAllFromIndex('aside', 'sitting', sitting)

export const forgetAside = async (order: number) => (await box).delete('aside', order)
