import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { ref } from 'vue'
import type { Schemas } from '../api/client'

interface Kept {
  /** Its place in this browser's database; none where the browser does not keep it. */
  order?: number
  dog: string
  /** The sitting that it belongs to; a walk-round's own id. */
  sitting: string
}
/** An event that is told and not yet known to be in the server's log. */
export interface Tap extends Kept {
  event: Schemas['Event']
}
/** A sitting told as a whole, or a walk-round, that was saved and is not known to be in the book. */
export type Whole = Kept & ({ tally: Schemas['SittingInput'] } | { walk: Schemas['CheckInput'] })
export type Waiting = Tap | Whole
export const isTap = <T extends Waiting>(w: T): w is T & Tap => 'event' in w
/** What it is told under: telling it twice changes nothing. */
export const idOf = (w: Waiting) => (isTap(w) ? w.event.id : 'tally' in w ? w.tally.id : w.walk.id)

/** One that the book will not take, with why: kept where it can be read, told again or forgotten. */
export type Aside = Waiting & { order: number; why: string }

interface Box extends DBSchema {
  events: { key: number; value: Waiting; indexes: { sitting: string } }
  aside: { key: number; value: Aside; indexes: { sitting: string } }
}

/** Whether the browser keeps what is told. Where it does not, what waits is lost with the page. */
export const keeps = ref(true)

/** The browser's own database: what waits here outlives a closed tab, a stopped server, an empty battery. */
let box: Promise<IDBPDatabase<Box>> | undefined
function opened() {
  box ??= openDB<Box>('fribbet', 2, {
    upgrade(db, version) {
      if (version < 1)
        db.createObjectStore('events', { keyPath: 'order', autoIncrement: true }).createIndex('sitting', 'sitting')
      db.createObjectStore('aside', { keyPath: 'order' }).createIndex('sitting', 'sitting')
    },
    blocking: (_old, _new, event) => (event.target as IDBDatabase).close(), // a newer page waits for this one
    terminated: () => (box = undefined), // cleared under the page: the next tap makes a new one
  })
  return box
}

/** How long the database may take to open, ms, before the page works without it. */
const patience = 3000
const late = () =>
  new Promise<never>((_, no) => setTimeout(() => no(new Error('the browser’s database does not open')), patience))

/** Asks the database; where it is blocked, full or gone, what stands in its place. */
async function asked<T>(ask: (db: IDBPDatabase<Box>) => Promise<T>, otherwise: T): Promise<T> {
  try {
    return await ask(await Promise.race([opened(), late()]))
  } catch {
    keeps.value = false
    box = undefined
    return otherwise
  }
}

/** Reads from the database, which is made by the first tap and not by looking for one. */
async function readFrom<T>(ask: (db: IDBPDatabase<Box>) => Promise<T[]>): Promise<T[]> {
  if (!box && !(await databases()).includes('fribbet')) return []
  return asked(ask, [])
}
async function databases() {
  try {
    return (await indexedDB.databases()).map(d => d.name)
  } catch {
    return [] // blocked: nothing was ever kept
  }
}

/**
 * What this page told and does not know to be in the log, in the order in which it was told: it outlives a
 * database that was cleared, and serves where there is none. Telling an event twice changes nothing.
 */
let told: Waiting[] = []
let toldAside: Aside[] = []

let last: Promise<unknown> = Promise.resolve()
/** One after the other: what is written, taken out and looked for does not overtake what was pressed before. */
function inTurn<T>(what: () => Promise<T>): Promise<T> {
  const done = last.then(what)
  last = done.catch(() => undefined)
  return done
}

/**
 * Keeps what one press told, all of it or nothing, and after what was told before it: however fast one
 * presses, an end does not overtake the nails before it. Written as plain JSON: the database cannot hold a
 * screen's reactive values.
 */
export function put(...all: Waiting[]) {
  const plain = JSON.parse(JSON.stringify(all)) as Waiting[]
  return inTurn(async () => {
    const orders = await asked(async db => {
      const tx = db.transaction('events', 'readwrite')
      const [keys] = await Promise.all([Promise.all(plain.map(w => tx.store.add(w))), tx.done])
      keeps.value = true
      return keys
    }, [])
    told.push(...plain.map((w, i) => ({ ...w, order: orders[i] })))
  })
}

/** What waits, for one sitting or for all, in the order in which it was told, by this page or another. */
export const waiting = (sitting?: string): Promise<Waiting[]> =>
  inTurn(async () => {
    let kept = await readFrom(db => db.getAll('events'))
    if (lacks(kept) && (keeps.value || Date.now() - tried > pause)) {
      tried = Date.now()
      await putAgain()
      kept = await readFrom(db => db.getAll('events'))
    }
    const ids = new Set(kept.map(idOf))
    const all = [...kept.sort((a, b) => a.order! - b.order!), ...told.filter(w => !ids.has(idOf(w)))]
    return all.filter(w => !sitting || w.sitting === sitting)
  })
/** A browser that keeps nothing is asked again now and then, ms. */
const pause = 5000
let tried = 0
/** Whether something that this page told is not in the database: it was cleared, or could not be written. */
const lacks = (kept: Waiting[]) => {
  const ids = new Set(kept.map(idOf))
  return told.some(w => !ids.has(idOf(w)))
}
/** Puts what this page told into the database again, all of it in its order: what is said to be kept is there. */
async function putAgain() {
  const orders = await asked(async db => {
    const tx = db.transaction('events', 'readwrite')
    const [keys] = await Promise.all([
      Promise.all(
        told.map(async w => {
          if (w.order !== undefined) await tx.store.delete(w.order)
          const plain = { ...w }
          delete plain.order
          return tx.store.add(plain)
        }),
      ),
      tx.done,
    ])
    keeps.value = true
    return keys
  }, undefined)
  told = told.map((w, i) => ({ ...w, order: orders?.[i] }))
}

/** Takes out what the log has. */
export const drop = (all: Waiting[]) =>
  inTurn(async () => {
    const ids = new Set(all.map(idOf))
    told = told.filter(w => !ids.has(idOf(w)))
    await asked(async db => {
      const tx = db.transaction('events', 'readwrite')
      await Promise.all([...all.flatMap(w => (w.order === undefined ? [] : [tx.store.delete(w.order)])), tx.done])
    }, undefined)
  })

/** Takes one out of what waits and keeps it aside, both or neither. */
export const putAside = (w: Waiting, why: string) =>
  inTurn(async () => {
    const one: Aside = { ...w, order: w.order ?? -Date.now(), why }
    const done = await asked(async db => {
      const tx = db.transaction(['events', 'aside'], 'readwrite')
      await Promise.all([tx.objectStore('aside').put(one), tx.objectStore('events').delete(one.order), tx.done])
      return true
    }, false)
    if (!done) toldAside.push(one)
    told = told.filter(t => idOf(t) !== idOf(w))
  })

/** What was put aside, of one sitting or of all. */
export async function asides(sitting?: string): Promise<Aside[]> {
  const kept = await readFrom(db => (sitting ? db.getAllFromIndex('aside', 'sitting', sitting) : db.getAll('aside')))
  return [...kept, ...toldAside.filter(a => !sitting || a.sitting === sitting)]
}

export async function forgetAside(order: number) {
  toldAside = toldAside.filter(a => a.order !== order)
  await asked(db => db.delete('aside', order), undefined)
}
