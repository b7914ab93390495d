<script setup lang="ts" generic="T">
import { releaseFocus } from '~/features/hands/in-field';

/** A word of a sentence that can be changed: one of `options`, by the key `by`; the keys go back to the board once it is chosen. */
withDefaults(
  defineProps<{
    value: string | null;
    options: readonly T[];
    /** What the word is, for whoever does not see the sentence. */
    label: string;
    by?: string;
    filter?: boolean;
    /** The key under which groups of options have their name; their options are `items`. */
    groups?: string;
    placeholder?: string;
  }>(),
  { by: 'id', filter: false, groups: undefined, placeholder: undefined },
);
const emit = defineEmits<{ choose: [value: string] }>();
</script>

<template>
  <Select
    class="word"
    :model-value="value"
    :options="[...options]"
    option-label="name"
    :option-value="by"
    :option-group-label="groups"
    :option-group-children="groups ? 'items' : undefined"
    :placeholder="placeholder"
    :aria-label="label"
    :filter="filter"
    @hide="releaseFocus"
    @update:model-value="emit('choose', ($event as string | null) ?? '')"
  />
</template>
