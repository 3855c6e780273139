/** How deep folders are opened, and how many files are taken at once. */
const DEEPEST = 6
const MOST = 2000

/** The dropped files, including those in dropped folders, by name. */
export async function droppedFiles(transfer: DataTransfer): Promise<File[]> {
  const entries = [...transfer.items].flatMap((item) => item.webkitGetAsEntry?.() ?? [])
  const files = entries.length
    ? (await Promise.all(entries.map((entry) => filesIn(entry, DEEPEST)))).flat()
    : [...transfer.files]
  return inOrder(files).slice(0, MOST)
}

/** Sorted by name with numbers in order: 2 before 10. Hidden files that systems leave in folders are skipped. */
export const inOrder = (files: readonly File[]): File[] =>
  files
    .filter(({ name }) => !name.startsWith('.') && name !== 'Thumbs.db' && name !== 'desktop.ini')
    .sort((a, b) => bare(a).localeCompare(bare(b), 'en', { numeric: true }))

const bare = ({ name }: File): string => name.replace(/\.[^.]*$/, '')

async function filesIn(entry: FileSystemEntry, depth: number): Promise<File[]> {
  if (entry.isFile)
    return [
      await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject)),
    ]
  if (!entry.isDirectory || depth === 0) return []
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const files: File[] = []
  // a reader returns a hundred at a time, and nothing at the end
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    )
    if (!some.length) return files
    for (const one of some) files.push(...(await filesIn(one, depth - 1)))
  }
}
