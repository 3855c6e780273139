import 'fake-indexeddb/auto'

/**
 * What a browser has and Node lacks, for unit tests of the stores. To be imported, and waited for, before what is
 * tested.
 */
Object.assign(globalThis, { window: { setTimeout } })

/** Node stays awake for an open channel; a page does not. */
const Channel = globalThis.BroadcastChannel
globalThis.BroadcastChannel = class extends Channel {
  constructor(name: string) {
    super(name)
    // the types are those of a page
    ;(this as unknown as { unref(): void }).unref()
  }
}
