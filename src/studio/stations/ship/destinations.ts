import type { Component } from 'vue'
import IconData from '~icons/ph/floppy-disk'
import IconCode from '~icons/ph/package'
import IconFrame from '~icons/ph/frame-corners'
import IconPage from '~icons/ph/file-html'

/** Where a game can go. */
export type Destination = 'page' | 'frame' | 'engine' | 'file'

export const DESTINATIONS: readonly {
  group: string
  all: readonly { id: Destination; name: string; line: string; icon: Component }[]
}[] = [
  {
    group: 'To players',
    all: [{ id: 'page', name: 'One page', line: 'plays anywhere, offline', icon: IconPage }],
  },
  {
    group: 'Into something larger',
    all: [
      {
        id: 'frame',
        name: 'A page of mine',
        line: 'a frame, and a page around it that hears the result',
        icon: IconFrame,
      },
      {
        id: 'engine',
        name: 'My program, in JavaScript',
        line: 'the rules as a module, with types',
        icon: IconCode,
      },
    ],
  },
  {
    group: 'To keep',
    all: [{ id: 'file', name: 'The game file', line: 'everything, kept checks too', icon: IconData }],
  },
]
