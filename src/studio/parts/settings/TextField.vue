<script setup lang="ts">
/** A line of text: `change` when it is done (Enter, or leaving the field), `typing` with each letter. Escape takes it back. */
const props = defineProps<{ modelValue: string; label: string; placeholder?: string; maxlength: number }>()
const emit = defineEmits<{ change: [text: string]; typing: [text: string] }>()
const field = (event: Event): HTMLInputElement => event.target as HTMLInputElement

function done(event: Event): void {
  emit('change', field(event).value.trim())
  // what was not taken, or was tidied, shows as it is kept now
  field(event).value = props.modelValue
}
</script>

<template>
  <input
    class="text-field"
    type="text"
    autocomplete="off"
    :value="modelValue"
    :aria-label="label"
    :placeholder="placeholder"
    :maxlength="maxlength"
    @input="emit('typing', field($event).value)"
    @change="done"
    @keydown.enter="field($event).blur()"
    @keydown.esc="field($event).value = modelValue"
  />
</template>

<style scoped>
.text-field {
  width: 100%;
  min-width: 0;
  height: 34px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--card);
  color: var(--ink);
  font: 400 15px var(--body);
}
.text-field:hover {
  border-color: #b9ad95;
}
.text-field:focus-visible {
  border-color: var(--lagoon);
  outline-offset: 0;
}
.text-field::placeholder {
  color: #6f6b7d;
}
</style>
