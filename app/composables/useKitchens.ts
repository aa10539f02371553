import { issuesFrom, type Issue } from '~~/core/reading'
import { kitchenSchema, type Kitchen, type KitchenInput } from '~~/core/kitchen'
import { beingCooked } from '~/database/beingCooked'
import { database } from '~/database/database'
import { useNotices } from '~/stores/notices'
import { useLive } from './useLive'

/** The household's kitchen, live, and what changes it. The first one is the one that is planned in. */
export function useKitchens() {
  const notices = useNotices()
  const data = useLive(async () => ({ kitchen: await database.kitchens.toCollection().first() }))

  /** Changes the kitchen as it stands by now; where that would be unsound nothing is written. */
  async function change(edit: (kitchen: Kitchen) => KitchenInput): Promise<Issue[]> {
    const busy = await beingCooked()
    if (busy.length) return busy
    return database.transaction('rw', database.kitchens, async () => {
      const current = await database.kitchens.toCollection().first()
      if (!current) return []
      const parsed = kitchenSchema.safeParse(JSON.parse(JSON.stringify(edit(current))))
      if (!parsed.success) return issuesFrom(parsed.error)
      await database.kitchens.put(parsed.data)
      return []
    })
  }

  /** Begins with a ready kitchen, in the place of what is there; sessions move over to it. */
  async function begin(input: KitchenInput): Promise<void> {
    const [busy] = await beingCooked()
    if (busy) {
      notices.show({ text: `${busy.message}. Allowed: ${busy.allowed}.`, bad: true })
      return
    }
    const kitchen = kitchenSchema.parse(input)
    const tables = [database.kitchens, database.sessions] as const
    const before = await database.transaction('rw', tables, async () => {
      const kitchens = await database.kitchens.toArray()
      const sessions = await database.sessions.toArray()
      await database.kitchens.clear()
      await database.kitchens.add(kitchen)
      const cooks = kitchen.people.map((p) => p.id)
      for (const s of sessions)
        await database.sessions.put({ ...s, kitchen: kitchen.id, cooks: cooks.slice(0, 1) })
      if (!sessions.length)
        await database.sessions.add({
          format: 'cadrum/session@1',
          id: 'my-session',
          name: 'My session',
          kitchen: kitchen.id,
          cooks: cooks.slice(0, 1),
          start: nextMorning(),
          dishes: [],
        })
      return { kitchens, sessions }
    })
    notices.show({
      text: 'The kitchen is there: change what is different in yours.',
      undo: async () => {
        await database.transaction('rw', tables, async () => {
          await database.kitchens.clear()
          await database.kitchens.bulkAdd(before.kitchens)
          await database.sessions.clear()
          await database.sessions.bulkAdd(before.sessions)
        })
      },
    })
  }

  return { data, change, begin }
}

/** Tomorrow at nine, local time, as sessions have it. */
function nextMorning(): string {
  const day = new Date()
  day.setDate(day.getDate() + 1)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}T09:00`
}
