import { until } from '@vueuse/core'
import { format } from 'date-fns'
import { keyOf } from '~~/core/session'
import { database } from '~/database/database'
import type { useSession } from './useSession'

/** The sitting of today, or the evening: the first that was not cooked yet. */
export function useToday({
  ready,
  whole,
  sittings,
  sitting,
  onTheStove,
  openThe,
}: Pick<
  ReturnType<typeof useSession>,
  'ready' | 'whole' | 'sittings' | 'sitting' | 'onTheStove' | 'openThe'
>) {
  async function open(): Promise<void> {
    await until(ready).toBe(true)
    if (!whole.value || onTheStove.value.length) return
    const day = format(new Date(), 'yyyy-MM-dd')
    const cooked = await database.records.toCollection().primaryKeys()
    const own = sittings.value.filter(
      (s) =>
        s.start.startsWith(day) &&
        !cooked.some((id) => id.startsWith(`${keyOf(whole.value!.id, s.id)} `)),
    )
    if (own[0] && !own.some((s) => s.id === sitting.value)) await openThe(own[0].id)
  }
  return { open }
}
