import type { Component } from 'vue'
import IconData from '~icons/ph/floppy-disk'
import IconCode from '~icons/ph/package'
import IconFolder from '~icons/ph/folder-open'
import IconFrame from '~icons/ph/frame-corners'
import IconKit from '~icons/ph/cube'
import IconPage from '~icons/ph/file-html'
import IconPaper from '~icons/ph/printer'
import IconSite from '~icons/ph/globe-simple'

/** Where a game can go. */
export type Destination = 'page' | 'site' | 'paper' | 'frame' | 'engine' | 'project' | 'kit' | 'file'

type DestinationChoice = { id: Destination; name: string; line: string; icon: Component }

export const DESTINATIONS: readonly { group: string; all: readonly DestinationChoice[] }[] = [
  {
    group: 'To players',
    all: [
      { id: 'page', name: 'One page', line: 'plays anywhere, offline', icon: IconPage },
      { id: 'site', name: 'A site', line: 'a zip to upload; installs on phones', icon: IconSite },
      { id: 'paper', name: 'Paper', line: 'sheets to print and cut, with backs', icon: IconPaper },
    ],
  },
  {
    group: 'Into something larger',
    all: [
      { id: 'frame', name: 'A page of mine', line: 'a frame that reports the result', icon: IconFrame },
      {
        id: 'engine',
        name: 'My program, in JavaScript',
        line: 'the rules as a module, with types',
        icon: IconCode,
      },
      {
        id: 'project',
        name: 'A project to go on with',
        line: 'source, game and tests',
        icon: IconFolder,
      },
      { id: 'kit', name: 'Any other engine', line: 'cards, places, deals, test games', icon: IconKit },
    ],
  },
  {
    group: 'To keep',
    all: [{ id: 'file', name: 'The game file', line: 'everything, kept checks too', icon: IconData }],
  },
]
