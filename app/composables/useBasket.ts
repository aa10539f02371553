import type { Preparing } from '~~/core/setout'
import { costIn, type Price, type ShopLine } from '~~/core/shopping'
import { withBrought } from '~~/core/stock'
import { database } from '~/database/database'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'
import { newId } from './newId'
import { today, type usePreparation } from './usePreparation'

type InBasket = Preparing['basket'][number]

/** What lies in the basket of the open session, and what becomes of it at home. */
export function useBasket({ ticked, tick, session }: ReturnType<typeof usePreparation>) {
  const saving = useSaving()
  const notices = useNotices()

  /** A line lies in the basket as it stands on the list. */
  const entry = (line: ShopLine): InBasket => {
    const cost = costIn(line.packs)
    const [first, ...more] = line.packs
    const shop = first?.offer.shop
    return {
      line: line.id,
      item: line.item,
      amount: line.bought,
      unit: line.unit,
      ...(cost === undefined ? {} : { cost }),
      ...(shop === undefined ? {} : { shop }),
      ...(first && !more.length
        ? first.offer.loose
          ? { loose: true as const }
          : { pack: first.offer.amount }
        : {}),
    }
  }
  const inBasket = (line: string) => ticked.value.basket.find((b) => b.line === line)
  const put = (line: ShopLine, on: boolean) =>
    tick((t) => ({
      ...t,
      basket: [...t.basket.filter((b) => b.line !== line.id), ...(on ? [entry(line)] : [])],
    }))
  /** What was really paid for it. */
  const paid = (line: ShopLine, cost: number) =>
    tick((t) => ({
      ...t,
      basket: [...t.basket.filter((b) => b.line !== line.id), { ...entry(line), cost }],
    }))

  /** All that lies in it comes home: into the house, with what it cost for the next time. */
  async function bringHome(): Promise<void> {
    const id = session.value!.id
    const { basket } = ticked.value
    const { stock, prices, preparing } = database
    const before = await stock.toArray()
    const learned = basket.flatMap((b): Price[] => {
      // Of several sizes together nobody knows what each of them cost.
      const amount = b.loose ? b.amount : b.pack
      if (b.cost === undefined || !amount || !b.amount) return []
      return [
        {
          id: newId(),
          item: b.item,
          amount,
          unit: b.unit,
          cost: Math.round((b.cost * amount) / b.amount),
          day: today(),
          ...(b.loose ? { loose: true as const } : {}),
          ...(b.shop === undefined ? {} : { shop: b.shop }),
        },
      ]
    })
    await saving.write('what came home', () =>
      database.transaction('rw', stock, prices, preparing, async () => {
        await stock.bulkPut(withBrought(before, basket, today()))
        await prices.bulkPut(learned)
        await preparing.update(id, { basket: [] })
      }),
    )
    notices.show({
      text: `${basket.length === 1 ? '1 thing is' : `${basket.length} things are`} in the house now.`,
      undo: () =>
        saving.write('what came home', () =>
          database.transaction('rw', stock, prices, preparing, async () => {
            await stock.clear()
            await stock.bulkPut(before)
            await prices.bulkDelete(learned.map((p) => p.id))
            await preparing.update(id, { basket })
          }),
        ),
    })
  }
  return { inBasket, put, paid, bringHome }
}
