import type { Schemas } from '../../api/client'

/** A piece as it is sent back: what is told of it, without what follows from that. */
export function inputOf(item: Schemas['KitItem']): Schemas['KitItemInput'] & { id: string } {
  const { id, version, kind, name, guard, grit, tip, on_item_id, expires, stock, told, limit } = item
  return { id, version, kind, name, guard, grit, tip, on_item_id, expires, stock, limit: told ? limit : undefined }
}

/** Whether a shelf holds what is used up. */
export const supplied = (shelf: Schemas['Shelf']) => shelf === 'supplies'
