import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Session } from '~~/core/session'
import { database } from '~/database/database'
import { useNotices } from './notices'
import { useSaving } from './saving'

/** A session before and after a change. */
interface Edit {
  before: Session
  after: Session
}

/** Changes that can be taken back one by one: nobody goes back further. */
const MOST = 60

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The changes of sessions since the page was opened, to be undone and done again in their order. */
export const useEdits = defineStore('edits', () => {
  const done = shallowRef<Edit[]>([])
  const undone = shallowRef<Edit[]>([])

  function remember(edit: Edit): void {
    if (same(edit.before, edit.after)) return
    done.value = [...done.value, edit].slice(-MOST)
    undone.value = []
  }

  /** Puts one state in the place of another, unless something else has changed the session since. */
  async function replace(from: Session, to: Session): Promise<boolean> {
    let replaced = false
    await useSaving().write(`"${to.name}"`, () =>
      database.transaction('rw', database.sessions, async () => {
        replaced = same(await database.sessions.get(from.id), from)
        if (replaced) await database.sessions.put(to)
      }),
    )
    if (replaced) return true
    done.value = undone.value = []
    useNotices().show({
      text: 'The session was changed elsewhere since: there is nothing to go back to.',
    })
    return false
  }
  async function undo(): Promise<void> {
    const edit = done.value.at(-1)
    if (!edit || !(await replace(edit.after, edit.before))) return
    done.value = done.value.slice(0, -1)
    undone.value = [...undone.value, edit]
  }
  async function redo(): Promise<void> {
    const edit = undone.value.at(-1)
    if (!edit || !(await replace(edit.before, edit.after))) return
    undone.value = undone.value.slice(0, -1)
    done.value = [...done.value, edit]
  }
  return {
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    remember,
    undo,
    redo,
  }
})
