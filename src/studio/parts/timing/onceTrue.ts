import { readonly, ref, watch, type Ref } from 'vue'

/** Whether something was ever true: a dialog stays loaded after it was closed. */
export function onceTrue(source: Ref<boolean>): Readonly<Ref<boolean>> {
  const ever = ref(source.value)
  watch(source, (now) => (ever.value ||= now))
  return readonly(ever)
}
