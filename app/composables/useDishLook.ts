/** Dark enough for white letters on them, apart from each other also for the colour-blind. */
const COLOURS = [
  '#1d6a96',
  '#b04a12',
  '#5d4a9c',
  '#2c7a4b',
  '#9a2c62',
  '#75650a',
  '#4a5560',
  '#7d4a2a',
]
const TEXTURES = ['plain', 'slant', 'dots', 'bars'] as const

export interface DishLook {
  colour: string
  texture: (typeof TEXTURES)[number]
  /** Name of the texture's pattern in the page. */
  pattern: string
}

/** Colour and texture of the n-th dish: no two of the first 24 share both. */
export function dishLook(n: number): DishLook {
  const colour = COLOURS[n % COLOURS.length]!
  const texture = TEXTURES[(Math.floor(n / COLOURS.length) + n) % TEXTURES.length]!
  return { colour, texture, pattern: `weft-${texture}` }
}
