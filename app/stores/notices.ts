import { defineStore } from 'pinia'
import { ref } from 'vue'
import { database } from '~/database/database'
import { restoreState } from '~/database/household'
import { useSaving } from './saving'

export interface Notice {
  text: string
  details?: string[]
  bad?: boolean
  undo?: () => Promise<unknown>
}

const WAY_BACK = 'way-back'
/** So long a way back is offered again after a reload, in milliseconds; the states stay longer. */
const OFFERED_MS = 86_400_000

interface WayBack {
  text: string
  state: number
  at: number
}

/** The one message that stands at the foot of the page, with a way back where there is one. */
export const useNotices = defineStore('notices', () => {
  const notice = ref<Notice>()
  const show = (next: Notice) => {
    notice.value = next
  }
  const close = () => {
    notice.value = undefined
    void database.settings.delete(WAY_BACK).catch(() => {})
  }
  const offer = ({ text, state }: Omit<WayBack, 'at'>) =>
    show({
      text,
      undo: () => useSaving().write('what was there before', () => restoreState(state)),
    })

  /** A message with a way back to an earlier state, which is offered again after a reload. */
  async function offerBack(text: string, state: number | undefined): Promise<void> {
    if (state === undefined) return show({ text })
    offer({ text, state })
    const value = JSON.stringify({ text, state, at: Date.now() } satisfies WayBack)
    await database.settings.put({ key: WAY_BACK, value }).catch(() => {})
  }

  /** Offers the way back that was open before the page was loaded again, if any. */
  async function recall(): Promise<void> {
    const kept = await database.settings.get(WAY_BACK).catch(() => undefined)
    if (!kept) return
    const back = JSON.parse(kept.value) as WayBack
    const there = await database.states.get(back.state)
    if (there && Date.now() - back.at < OFFERED_MS) offer(back)
    else close()
  }

  return { notice, show, close, offerBack, recall }
})
