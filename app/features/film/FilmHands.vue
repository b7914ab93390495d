<script setup lang="ts">
import { capOf } from './keys';

/** What else can be done with the film that is shown, each with its key. */
defineProps<{
  snapId: number;
  readOnly: boolean;
  /** The plays run one after the other; the board runs beside the film; nothing but the film is shown. */
  run: boolean;
  board: boolean;
  inRoom: boolean;
  /** A rep is held to be put beside another; what the hand does next. */
  held: boolean;
  heldSays: string;
}>();
defineEmits<{ run: []; write: []; board: []; beside: []; room: [] }>();
</script>

<template>
  <button v-if="!readOnly" class="plain" type="button" :aria-pressed="run" @click="$emit('run')">
    <kbd>{{ capOf('run') }}</kbd> in a row
  </button>
  <button v-if="!readOnly" class="plain" type="button" @click="$emit('write')">
    <kbd>{{ capOf('write') }}</kbd> write
  </button>
  <button class="plain" type="button" :aria-pressed="board" @click="$emit('board')">
    <kbd>{{ capOf('board') }}</kbd> board
  </button>
  <button v-if="!readOnly" class="plain" type="button" :aria-pressed="held" @click="$emit('beside')">
    <kbd>{{ capOf('beside') }}</kbd> {{ heldSays }}
  </button>
  <button class="plain" type="button" :aria-pressed="inRoom" @click="$emit('room')">
    <kbd>{{ capOf('room') }}</kbd> {{ inRoom ? 'back to the grades' : 'room' }}
  </button>
  <NuxtLink v-if="!readOnly && !inRoom" class="measure" :to="`/film/measure/${snapId}`"
    ><kbd>{{ capOf('measure') }}</kbd> measure</NuxtLink
  >
</template>
