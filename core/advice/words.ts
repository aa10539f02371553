import { placeWords } from '../guide'
import type { Kitchen } from '../kitchen'
import { counted } from '../quantity'
import { lowerFirst } from '../recipe'
import type { CompiledSession, Wish } from '../session'

/** What is needed to say a wish or a change as one would across the kitchen. */
export interface Speaking {
  compiled: Pick<CompiledSession, 'cards' | 'dishes'>
  kitchen: Kitchen
  /** An hour as this household writes it, from a local date and time. */
  hour: (iso: string) => string
}

/** A step in short, with its dish where its own words do not name it. */
export function stepWords(id: string, { compiled }: Pick<Speaking, 'compiled'>): string {
  const card = compiled.cards[id]
  if (!card) return 'a step that is not in the plan'
  const dish = compiled.dishes.find((d) => d.id === card.dish)
  const said = card.text.split(/[.;(]/)[0]!.trim().replace(/,$/, '')
  return dish ? `"${said}" (${dish.name})` : `"${said}"`
}

/** What the cook wants, in a sentence without its full stop. */
export function wishText(wish: Wish, speaking: Speaking): string {
  const { compiled, kitchen, hour } = speaking
  const step = (id: string) => stepWords(id, { compiled })
  const who = (id: string) => kitchen.people.find((p) => p.id === id)?.name ?? id
  const place = (id: string) => placeWords(id, kitchen)
  switch (wish.kind) {
    case 'at': {
      const { from, until } = wish
      if (from !== undefined && from === until) return `${step(wish.step)} begins at ${hour(from)}`
      const words = [
        ...(from === undefined ? [] : [`no sooner than ${hour(from)}`]),
        ...(until === undefined ? [] : [`no later than ${hour(until)}`]),
      ]
      return `${step(wish.step)} begins ${words.join(' and ')}`
    }
    case 'before':
      return `${step(wish.step)} is done before ${step(wish.other)}`
    case 'together':
      return `${step(wish.step)} begins together with ${step(wish.other)}`
    case 'by':
      return `${who(wish.cook)} does ${step(wish.step)}`
    case 'way': {
      const way = compiled.cards[wish.step]?.ways[wish.way] ?? wish.way
      return `${step(wish.step)} is done so: ${lowerFirst(way)}`
    }
    case 'elsewhere':
      return `${step(wish.step)} is not done in ${place(wish.place)}`
    case 'takes':
      return `${step(wish.step)} takes ${counted(wish.minutes, 'minute')}`
    case 'free':
      return `${who(wish.cook)} is free from ${hour(wish.from)} to ${hour(wish.until)}`
    case 'closed':
      return `${place(wish.place)} is not used from ${hour(wish.from)} to ${hour(wish.until)}`
    case 'first': {
      const dish = compiled.dishes.find((d) => d.id === wish.dish)
      return `${dish?.name ?? wish.dish} is ready before everything else`
    }
  }
}
