import { issueText } from './issueText'
import { kitchenSchema, readKitchen, type Kitchen, type KitchenInput } from '~~/core/kitchen'
import type { Issue } from '~~/core/reading'
import { freeId } from '~~/core/recipe'
import { plain } from './plain'
import { beingCooked } from '~/database/beingCooked'
import { database } from '~/database/database'
import { openedKitchen, openedSession, openSession } from '~/database/opened'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'
import { useLive } from './useLive'

/** The kitchen that is planned in, live, and what changes it. */
export function useKitchens() {
  const notices = useNotices()
  const saving = useSaving()
  const data = useLive(async () => ({ kitchen: await openedKitchen() }))
  const all = [database.kitchens, database.sessions, database.settings] as const

  /** Changes the kitchen as it stands by now; where that would be unsound nothing is written. */
  async function change(edit: (kitchen: Kitchen) => KitchenInput): Promise<Issue[]> {
    const busy = await beingCooked()
    if (busy.length) return busy
    return saving.write('the kitchen', () =>
      database.transaction('rw', all, async () => {
        const current = await openedKitchen()
        if (!current) return []
        const reading = readKitchen(plain(edit(current)))
        if (!reading.ok) return reading.issues
        await database.kitchens.put(reading.value)
        return []
      }),
    )
  }

  /** Begins with a ready kitchen, in the place of the one that is open; its sessions move over to it. */
  async function begin(input: KitchenInput): Promise<void> {
    const [busy] = await beingCooked()
    if (busy) {
      notices.show({ text: issueText(busy), bad: true })
      return
    }
    const before = await saving.write('the kitchen', () =>
      database.transaction('rw', all, async () => {
        const [kitchens, sessions] = [
          await database.kitchens.toArray(),
          await database.sessions.toArray(),
        ]
        const [old, open] = [await openedKitchen(), await openedSession()]
        const taken = new Set(kitchens.map((k) => k.id).filter((id) => id !== old?.id))
        const kitchen = kitchenSchema.parse({ ...input, id: freeId(input.id, taken) })
        if (old) await database.kitchens.delete(old.id)
        await database.kitchens.put(kitchen)
        const cooks = kitchen.people.map((p) => p.id).slice(0, 1)
        for (const s of sessions)
          if (s.kitchen === old?.id)
            await database.sessions.put({ ...s, kitchen: kitchen.id, cooks })
        if (!open) {
          const session = {
            format: 'cadrum/session@1' as const,
            id: 'my-session',
            name: 'My session',
            kitchen: kitchen.id,
            cooks,
            start: nextMorning(),
            dishes: [],
          }
          await database.sessions.add(session)
          await openSession(session.id)
        }
        return { kitchens, sessions }
      }),
    )
    notices.show({
      text: 'The kitchen is there: change what is different in yours.',
      undo: () =>
        saving.write('the kitchen', () =>
          database.transaction('rw', all, async () => {
            await database.kitchens.clear()
            await database.kitchens.bulkAdd(before.kitchens)
            await database.sessions.clear()
            await database.sessions.bulkAdd(before.sessions)
          }),
        ),
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
