import { useIntervalFn } from '@vueuse/core'
import { spanText } from './useClock'
import { useNotices } from '~/stores/notices'

const KEY = 'cadrum-seen'
/** How often it is noted that somebody could have looked, and from what gap on it is told, in milliseconds. */
const EVERY_MS = 5000
const AWAY_MS = 300_000

/** Says how long nobody can have looked: asleep, closed, without power; what happened meanwhile can be set right. */
export function useAway(startedAt: () => number | undefined): void {
  const notices = useNotices()
  function look() {
    const [at, began] = [Date.now(), startedAt()]
    const seen = Number(localStorage.getItem(KEY)) || at
    localStorage.setItem(KEY, String(at))
    if (began === undefined || seen < began || at - seen < AWAY_MS) return
    const time = spanText((at - seen) / 1000)
    notices.show({
      text: `Nobody was here for ${time}. What was done meanwhile: tick it off, and set its time right under More, What has happened.`,
    })
  }
  useIntervalFn(look, EVERY_MS, { immediateCallback: true })
}
