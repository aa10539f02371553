import { defineStore } from 'pinia'
import { ref } from 'vue'

export interface Notice {
  text: string
  details?: string[]
  bad?: boolean
  undo?: () => Promise<void>
}

/** The one message that stands at the foot of the page, with a way back where there is one. */
export const useNotices = defineStore('notices', () => {
  const notice = ref<Notice>()
  const show = (next: Notice) => {
    notice.value = next
  }
  const close = () => {
    notice.value = undefined
  }
  return { notice, show, close }
})
