/** Interface icons: as Vue components, and with ?raw as the text of their SVG. */
declare module '~icons/ph/*?raw' {
  const svg: string
  export default svg
}
declare module '~icons/*' {
  import type { FunctionalComponent, SVGAttributes } from 'vue'
  const component: FunctionalComponent<SVGAttributes>
  export default component
}
