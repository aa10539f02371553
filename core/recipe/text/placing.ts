import { OVEN_SHAPES } from '../flow/vessels'
import { cooks, type WorkKind } from '../work'
import { equipmentIn, equipmentOf, type Whereabouts } from './equipment'
import { isLiquid } from './foods'
import { ON_HOB, VESSELS } from './lexicon'
import {
  AS_WEIGHT,
  ASIDE,
  firstSpoken,
  HOT_FAT,
  INTO_NEW,
  MEANWHILE,
  MIXED_IN,
  MOVING,
  PUTS_TO,
  STRAINED_INTO,
  TURNS_OVEN,
  WHISKED,
} from './methodWords'
import { bareOf } from './references'
import { FAT_LEFT } from './sourceWords'
import { type Mention, type Sources, type Threads } from './threads'
import { usedIn } from './usedIn'
import { workOf } from './workOf'

/** How and in what a step is done. */
export interface Done {
  work: WorkKind
  equipment: string[]
  /** Its words as far as they say where, the equipment that they name, and the vessel among it. */
  said: string
  named: string[]
  vessel: string | undefined
  /** Something that runs is in it. */
  wet: boolean
}

/** How a step is done, from where its food is: `where` is that, and where it goes on from then on. */
export function doneIn(
  mention: Mention,
  sources: Sources,
  where: Whereabouts,
  items: readonly string[],
  threads: Threads,
): Done {
  const { text } = mention
  const { ingredients } = threads
  // `The tin` that a bird was roasted in is the roasting tin.
  const roasting = threads.isRoasting()
  const said = (
    roasting || FAT_LEFT.test(text) || where.vessel === 'tray'
      ? text.replace(/\b(the|same|both) tin(s?)\b/gi, '$1 roasting tin$2')
      : text.replace(AS_WEIGHT, '')
  )
    .replace(MEANWHILE, '')
    // `Into two dishes (I do one for the freezer)`.
    .replace(/\([^()]*\b(?:freezer|fridge)\b[^()]*\)/gi, ' ')
  // `Brown the mince in a pan, and set aside in a bowl`: it is browned in the pan.
  const spoken = cooks(mention.work) ? said.replace(MOVING, ' ').replace(ASIDE, ' ') : said
  const named = equipmentIn(spoken)
  const vessel = named.find((k) => VESSELS.has(k))
  const wet = isLiquid(text) || items.some(isLiquid)
  if (HOT_FAT.test(text)) where.heated ??= 'fry'
  if (vessel && vessel !== where.vessel && vessel !== 'bowl') where.wet = false
  if (wet) where.wet = true
  // `Warm the syrup, stir into the oats`: they lie in a bowl, and not in its pan.
  const into = INTO_NEW.exec(text.toLowerCase())?.[1]
  const intoNew =
    into !== undefined &&
    !vessel &&
    sources.fresh.some(
      (id) =>
        usedIn(
          into,
          ingredients.filter((i) => i.id === id),
        ).length > 0,
    )
  // `Beat the eggs with the cream, and stir in the onions`: these come into a bowl to them.
  const begunApart =
    !vessel &&
    WHISKED.test(text) &&
    sources.main !== undefined &&
    ON_HOB.has(where.vessel ?? '') &&
    (mention.uses[0] === undefined ||
      sources.fresh.includes(firstSpoken(text, mention.uses, ingredients)))
  if (intoNew || begunApart) where.vessel = 'bowl'
  const cut = workOf({ ...mention }, where, named, items)
  // `Line a tray … roast for 15 minutes`: on the tray that stands ready.
  const [ready] = [...threads.prepared.keys()]
  const laid = OVEN_SHAPES.has(where.vessel) || where.dish !== undefined
  // `Butter a casserole. Put in half the rice`: into what stands ready.
  if (
    ready &&
    !vessel &&
    /^(?:put|spoon|tip|layer|pile) (?:in\b|[^,.;]* in the (?:middle|centre|bottom)\b)/i.test(text)
  ) {
    where.vessel = ready
    where.wet = false
  }
  if (cut === 'bake' && !vessel && !laid && OVEN_SHAPES.has(ready)) where.dish = ready
  // `Zest the lemons into a bowl with the sugar and eggs`: mixed, with a little cutting in it.
  const work = cut === 'cut' && MIXED_IN.test(text) && items.length > 2 ? 'mix' : cut
  // `Layer the potatoes, the meat and the aubergines`: in a dish for the oven.
  const layers = mention.verb === 'layer' && !vessel && sources.others.length > 0
  if (layers) where.vessel = where.dish = 'oven-dish'
  const turns = work === 'assemble' && TURNS_OVEN.test(spoken)
  const equipment = equipmentOf(turns ? spoken.replace(TURNS_OVEN, ' ') : spoken, work, where)
  // `Pour in the custard`: in the dish that it comes to.
  const holds = where.dish ?? where.vessel
  const comes = sources.others.length > 0 || sources.fresh.length > 0
  const lies = sources.main !== undefined && !sources.main.lifted && OVEN_SHAPES.has(holds)
  if (layers && !equipment.length) equipment.push('oven-dish')
  else if (work === 'assemble' && !equipment.length && lies && comes && PUTS_TO.test(bareOf(text)))
    equipment.push(holds!)
  return { work, equipment, said, named, vessel, wet }
}

/** `Blitz a third of it`: the rest stays in its pot, and this goes back there. */
const OF_IT = /\b(?:half|a (?:third|quarter|few ladles)|some|part) of (?:it|the)\b/i

/** Where the food is when a step is over. */
export function leftIn(
  where: Whereabouts,
  { text }: Pick<Mention, 'text'>,
  { work, equipment, said, vessel, wet }: Done,
): void {
  const main = equipment.find((k) => VESSELS.has(k))
  // A bowl that nobody spoke of is no place where the dish is from now on.
  if (
    main &&
    (work !== 'drain' || STRAINED_INTO.test(text)) &&
    work !== 'cut' &&
    work !== 'heat' &&
    (main !== 'bowl' || vessel) &&
    !/\b(?:hand|stick|immersion) blender\b/i.test(text) &&
    !(work === 'blend' && OF_IT.test(text))
  ) {
    if (main !== where.vessel && main !== 'bowl') where.wet = wet
    where.vessel = main
  }
  // What was cut lies on its board: it is in no pot any more.
  if (work === 'cut' && !vessel && where.vessel !== undefined) where.vessel = undefined
  if (work === 'cut' && !vessel && /^(?:carve|slice|shred|pull|chop)\b/i.test(text))
    delete where.dish
  if (OVEN_SHAPES.has(vessel)) where.dish = vessel
  if (cooks(work)) where.heated = work
  const moved = equipmentIn(MOVING.exec(said)?.[0] ?? '').find((k) => VESSELS.has(k))
  if (moved) where.vessel = moved
  if (work === 'pressure') where.opened = false
  else if (where.vessel === 'pressure-cooker' && work === 'rest') where.opened = true
}
