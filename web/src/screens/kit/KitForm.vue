<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useKeepKitItem } from '../../api/kit'
import { $t } from '../../i18n'
import FormField from '../../parts/FormField.vue'
import RefusalNote from '../../parts/RefusalNote.vue'
import { number } from '../../units'
import { kitKinds, options, shelves, tips } from '../../words'
import { inputOf, supplied } from './input'

/** What is told of one piece: a new one, or one that is there. Only the fields of its kind are asked. */
const props = defineProps<{ item?: Schemas['KitItem']; kit: Schemas['Kit'] }>()
const emit = defineEmits<{ kept: [] }>()
const { mutate, isPending, error } = useKeepKitItem()
const id = props.item?.id ?? crypto.randomUUID()
const form = ref<Schemas['KitItemInput'] & { id: string }>(
  props.item ? inputOf(props.item) : { id, kind: 'large_plier' },
)
const limit = ref(form.value.limit === undefined ? '' : String(form.value.limit))

const kinds = computed(() =>
  (Object.keys(shelves) as Schemas['Shelf'][]).map(shelf => ({
    label: shelves[shelf],
    options: props.kit.kinds.filter(k => k.shelf === shelf).map(k => ({ value: k.kind, text: kitKinds[k.kind] })),
  })),
)
const kind = computed(() => props.kit.kinds.find(k => k.kind === form.value.kind)!)
const machines = computed(() => [
  { value: undefined, text: $t('kit.any_grinder') },
  ...props.kit.items.filter(i => i.kind === 'grinder').map(i => ({ value: i.id, text: i.name || kitKinds.grinder })),
])
const bit = computed(() => kind.value.shelf === 'grinders' && kind.value.abrasive)

function save() {
  const { id: own, version, kind: chosen, name, grit, tip, guard, on_item_id, expires, stock } = form.value
  mutate(
    {
      id: own,
      version,
      kind: chosen,
      name,
      guard: kind.value.shelf === 'cutters' ? guard : undefined,
      grit: kind.value.abrasive ? grit : undefined,
      tip: bit.value ? tip : undefined,
      on_item_id: bit.value ? on_item_id : undefined,
      expires: supplied(kind.value.shelf) && expires ? expires : undefined,
      stock: supplied(kind.value.shelf) ? (stock ?? 'full') : undefined,
      // refused by name, as no number is
      limit: kind.value.counts === 'nothing' || limit.value.trim() === '' ? undefined : (number(limit.value) ?? -1),
    },
    { onSuccess: () => emit('kept') },
  )
}
const at = (field: string) => `kit-${id}-${field}`
</script>

<template>
  <BForm novalidate class="form" @submit.prevent="save">
    <FormField :id="at('kind')" :label="$t('kit.what_it_is')" :error="error" :fields="['kind']">
      <BFormSelect :id="at('kind')" v-model="form.kind" :disabled="item !== undefined" :options="kinds" />
    </FormField>
    <FormField
      :id="at('name')"
      v-slot="{ invalid, described }"
      :label="$t('kit.your_name_for_it')"
      :error="error"
      :fields="['name']"
    >
      <BFormInput
        :id="at('name')"
        v-model="form.name"
        :state="invalid"
        :aria-describedby="described"
        dir="auto"
        autocomplete="off"
      />
    </FormField>
    <FormField
      v-if="kind.abrasive"
      :id="at('grit')"
      :label="$t('kit.grit')"
      :error="error"
      :fields="['grit']"
      :hint="$t('kit.n60_takes_length_80_between')"
    >
      <BFormSelect
        :id="at('grit')"
        v-model="form.grit"
        :options="[
          { value: undefined, text: $t('kit.not_known') },
          ...kit.grits.map(g => ({ value: g, text: String(g) })),
        ]"
      />
    </FormField>
    <FormField
      v-if="bit"
      :id="at('tip')"
      :label="$t('kit.tip')"
      :error="error"
      :fields="['tip']"
      :hint="$t('kit.a_flat_one_is_easiest')"
    >
      <BFormSelect
        :id="at('tip')"
        v-model="form.tip"
        :options="[{ value: undefined, text: $t('kit.not_said') }, ...options(tips)]"
      />
    </FormField>
    <FormField v-if="bit" :id="at('machine')" :label="$t('kit.runs_on')" :error="error" :fields="['on_item_id']">
      <BFormSelect :id="at('machine')" v-model="form.on_item_id" :options="machines" />
    </FormField>
    <FormField
      v-if="kind.counts !== 'nothing'"
      :id="at('limit')"
      v-slot="{ invalid, described }"
      :label="$t('kit.due_after', { counts: kind.counts })"
      :error="error"
      :fields="['limit']"
      :hint="$t('kit.empty_our_judgement', { usual_limit: kind.usual_limit })"
    >
      <BFormInput
        :id="at('limit')"
        v-model="limit"
        inputmode="numeric"
        :state="invalid"
        :aria-describedby="described"
        autocomplete="off"
      />
    </FormField>
    <FormField
      v-if="supplied(kind.shelf)"
      :id="at('expires')"
      v-slot="{ invalid }"
      :label="$t('kit.use_by')"
      :error="error"
      :fields="['expires']"
    >
      <BFormInput :id="at('expires')" v-model="form.expires" type="date" :state="invalid" />
    </FormField>
    <BFormCheckbox v-if="kind.shelf === 'cutters'" v-model="form.guard" class="guard">{{
      $t('kit.it_has_a_guard_an')
    }}</BFormCheckbox>
    <RefusalNote
      class="row"
      :error="error"
      :shown="['kind', 'name', 'grit', 'tip', 'on_item_id', 'limit', 'expires']"
    />
    <div class="row ends">
      <BButton type="submit" variant="plain" :disabled="isPending">{{
        item ? $t('kit.save') : $t('kit.add_it_to_the_kit')
      }}</BButton>
      <slot />
    </div>
  </BForm>
</template>

<style scoped>
.form {
  align-items: start;
  display: grid;
  gap: 0.9rem 2rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 15rem), 1fr));
  padding-block: 0.5rem 1rem;
}
.row {
  grid-column: 1 / -1;
}
.ends {
  display: flex;
  gap: 0.75rem;
}
.guard {
  align-self: center;
  display: flex;
  gap: 0.5rem;
}
</style>
