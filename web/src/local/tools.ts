import type { Schemas } from '../api/client'
import { options, tools } from '../words'

/** The pieces of the kit by name, then every kind of tool: the options of a tool select. */
export function toolChoices(kit: Schemas['Kit'] | undefined) {
  const own = (kit?.items ?? []).filter((i) => i.tool).map((i) => ({
    value: i.id, text: `${tools[i.tool!]}${i.name ? `, ${i.name}` : i.grit ? `, ${i.grit} grit` : ''}${i.usable ? '' : ' (see to it)'}`,
  }))
  return own.length === 0 ? options(tools) : [{ label: 'Your kit', options: own }, { label: 'Other', options: options(tools) }]
}
