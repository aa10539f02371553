/** The text with its first letter small, to go on within a sentence. */
export const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
/** The text with its first letter large, to begin one. */
export const upperFirst = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
