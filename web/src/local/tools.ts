import type { Schemas } from '../api/client'
import { options, tools } from '../words'
import { $t } from '../i18n'

/** The pieces of the kit by name, then every kind of tool: the options of a tool select. */
export function toolChoices(kit: Schemas['Kit'] | undefined) {
  const own = (kit?.items ?? [])
    .filter(i => i.tool)
    .map(i => ({
      value: i.id,
      text: `${tools[i.tool!]}${i.name ? `, ${i.name}` : i.grit ? $t('local.grit', { grit: i.grit }) : ''}${i.usable ? '' : $t('local.see_to_it')}`,
    }))
  return own.length === 0
    ? options(tools)
    : [
        { label: $t('local.your_kit'), options: own },
        { label: $t('local.other'), options: options(tools) },
      ]
}
