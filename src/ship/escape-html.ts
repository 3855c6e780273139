const ENTITIES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }

/** A text as it stands in HTML, between tags or in an attribute. */
export const escapeHtml = (text: string): string => text.replace(/[&<>"]/g, (letter) => ENTITIES[letter]!)
