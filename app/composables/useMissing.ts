import type { Recipe } from '~~/core/recipe'
import { withDish, withDishBack, withoutDish, type Session } from '~~/core/session'
import type { ShopLine } from '~~/core/shopping'
import { useNotices } from '~/stores/notices'
import type { usePreparation } from './usePreparation'

/** Something that is not to be had in the shop, and what is done about it. */
export type Missing =
  | { kind: 'size'; line: ShopLine; amount: number }
  | { kind: 'instead'; line: ShopLine; item: string }
  | { kind: 'without'; recipe: Recipe }
  | { kind: 'lacking'; line: ShopLine }
  | { kind: 'as before'; line: ShopLine }

/**
 * What is done where something is not to be had: another size, a stand-in, or the dish falls out. Each has a way
 * back at once, and at its line later.
 */
export function useMissing({ session, ticked, change, tick }: ReturnType<typeof usePreparation>) {
  const notices = useNotices()

  async function anotherSize({ id, item }: ShopLine, amount: number): Promise<void> {
    await tick((t) => ({ ...t, notHad: [...t.notHad, { line: id, amount }] }))
    notices.show({
      text: `The list has another size of ${item} now.`,
      undo: () =>
        tick((t) => ({
          ...t,
          notHad: t.notHad.filter((n) => n.line !== id || n.amount !== amount),
        })),
    })
  }

  async function standIn(line: ShopLine, item: string): Promise<void> {
    const wants = line.wants.filter((w) => w.instead === item)
    const before = new Map<string, Session['dishes'][number]['swaps']>()
    await change((s) =>
      wants.reduce((now, { dish, ingredient }) => {
        const own = now.dishes.find((d) => d.recipe === dish)
        if (!own) return now
        before.set(dish, own.swaps)
        const others = (own.swaps ?? []).filter((x) => x.ingredient !== ingredient)
        return withDish(now, dish, { swaps: [...others, { ingredient, item }] })
      }, s),
    )
    notices.show({
      text: `${item} goes in instead of ${line.item}.`,
      undo: () =>
        change((s) => ({
          ...s,
          dishes: s.dishes.map((d) => {
            if (!before.has(d.recipe)) return d
            const { swaps: _, ...rest } = d
            const was = before.get(d.recipe)
            return was ? { ...rest, swaps: was } : rest
          }),
        })),
    })
  }

  async function leaveOut(recipe: Recipe): Promise<void> {
    let gone: Session['dishes'][number] | undefined
    let at = 0
    await change((s) => {
      at = s.dishes.findIndex((d) => d.recipe === recipe.id)
      gone = s.dishes[at]
      return withoutDish(s, recipe.id)
    })
    notices.show({
      text: `${recipe.name} is not cooked this time.`,
      undo: () => change((s) => (gone ? withDishBack(s, gone, at) : s)),
    })
  }

  /** What was to be looked for is not enough. */
  async function lacking({ id, item }: ShopLine): Promise<void> {
    await tick((t) => ({ ...t, lacking: [...t.lacking.filter((l) => l !== id), id] }))
    notices.show({
      text: `${item} is on the list now.`,
      undo: () => tick((t) => ({ ...t, lacking: t.lacking.filter((l) => l !== id) })),
    })
  }

  /** Whatever was said of a line is taken back: sizes that were not to be had, a stand-in, that it is lacking. */
  async function asBefore({ id, wants }: ShopLine): Promise<void> {
    await tick((t) => ({
      ...t,
      lacking: t.lacking.filter((l) => l !== id),
      notHad: t.notHad.filter((n) => n.line !== id),
    }))
    await change((s) => ({
      ...s,
      dishes: s.dishes.map((d) => {
        const { swaps, ...rest } = d
        const left = swaps?.filter(
          (x) => !wants.some((w) => w.dish === d.recipe && w.ingredient === x.ingredient),
        )
        return left?.length ? { ...rest, swaps: left } : rest
      }),
    }))
  }
  /** Whether anything was said of a line that could be taken back. */
  const isOther = ({ id, wants }: ShopLine): boolean =>
    ticked.value.lacking.includes(id) ||
    ticked.value.notHad.some((n) => n.line === id) ||
    wants.some(({ dish, ingredient }) =>
      session.value?.dishes
        .find((d) => d.recipe === dish)
        ?.swaps?.some((x) => x.ingredient === ingredient),
    )

  const doWith = (what: Missing): Promise<void> => {
    if (what.kind === 'size') return anotherSize(what.line, what.amount)
    if (what.kind === 'instead') return standIn(what.line, what.item)
    if (what.kind === 'without') return leaveOut(what.recipe)
    return what.kind === 'lacking' ? lacking(what.line) : asBefore(what.line)
  }
  return { doWith, isOther }
}
