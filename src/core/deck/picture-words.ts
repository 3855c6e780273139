/**
 * Endings of library names that tell a sign from its neighbours in a table of signs but say nothing about the picture.
 */
const TAIL = /-(not-done|blood-type|symbol|medium|medium-light|medium-dark|dark|(?<!(traffic|car)-)light)$/

/** A library picture's name in words, to search in: "hourglass not done". In: its name, as face.name has it. */
export const pictureWords = (name: string): string => name.replaceAll('-', ' ')

/** What a library picture shows, as the name of a pair: "Hourglass". In: its name, as face.name has it. */
export const pictureTitle = (name: string): string => capitalized(pictureWords(name.replace(TAIL, '')))

/** A word with a capital first letter: "gear" gives "Gear". */
export const capitalized = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)
