import type { Component } from 'vue'
import IconData from '~icons/ph/floppy-disk'
import IconFrame from '~icons/ph/frame-corners'
import IconPage from '~icons/ph/file-html'

/** Where a game can go. */
export type Destination = 'page' | 'frame' | 'file'

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
    ],
  },
  {
    group: 'To keep',
    all: [{ id: 'file', name: 'The game file', line: 'everything, kept checks too', icon: IconData }],
  },
]
