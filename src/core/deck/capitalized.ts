/** A word with a capital first letter: "gear" gives "Gear". */
export const capitalized = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)
