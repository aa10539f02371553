import { GUIDANCE } from './hazard'

/** What the hand is about to do with food that was cooked and packed. */
export type Doing = 'lid' | 'thaw' | 'raw' | 'past' | 'scraps' | 'jars' | 'others'

/** What is usual against what can hurt then, with its reason; local guidance goes first. */
export interface AfterStove {
  text: string
  /** Where it comes from. */
  source: string
}

export const AFTER_STOVE: Readonly<Record<Doing, AfterStove>> = {
  lid: {
    text: 'Lids on once it has stopped steaming: what steams under a lid stays warm for hours, and warm food keeps germs growing.',
    source: `${GUIDANCE}: from off the heat into the cold within two hours`,
  },
  thaw: {
    text: 'It thaws in the fridge, on a plate and below what is eaten as it is: on the bench its outside is warm long before its middle has thawed.',
    source: `${GUIDANCE}: thawed in the fridge, in cold water or in the microwave, never on the bench`,
  },
  raw: {
    text: 'Raw: on the lowest shelf and in a closed box, so that nothing drips onto what is eaten as it is, and cooked through before anybody eats of it.',
    source: `${GUIDANCE}: raw below ready`,
  },
  past: {
    text: 'Past its day: throw it away. Germs that make ill can neither be seen nor smelled.',
    source: `${GUIDANCE}: keeping times`,
  },
  scraps: {
    text: 'For animals nothing with onion, leek, garlic, grapes, raisins, chocolate or much salt, no cooked bones, and nothing past its day: it hurts them too. Meat and kitchen scraps are not fed to farm animals in many places: ask there.',
    source: 'usual guidance on feeding animals; local rules go first',
  },
  jars: {
    text: 'A jar keeps food no longer than a box does: into the fridge or freezer with it. Keeping jars in the cupboard wants tested canning, which this application does not plan.',
    source: `${GUIDANCE}: low-acid food is canned only by tested pressure processes`,
  },
  others: {
    text: 'Say what is in it and till when it keeps. For babies, and where an allergy is a matter of life and death, do not rely on these labels alone.',
    source: `${GUIDANCE}: allergens`,
  },
}
