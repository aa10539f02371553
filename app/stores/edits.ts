import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
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
    undone.value = undone.value.filter((e) => e.before.id !== edit.before.id)
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
    const others = (edits: readonly Edit[]) => edits.filter((e) => e.before.id !== from.id)
    done.value = others(done.value)
    undone.value = others(undone.value)
    useNotices().show({
      text: 'The session was changed elsewhere since: there is nothing to go back to.',
    })
    return false
  }
  /** The last change of one session: of another, which nobody looks at, nothing is taken back. */
  const lastOf = (edits: readonly Edit[], session: string) =>
    edits.findLast((e) => e.before.id === session)
  async function undo(session: string): Promise<void> {
    const edit = lastOf(done.value, session)
    if (!edit || !(await replace(edit.after, edit.before))) return
    done.value = done.value.filter((e) => e !== edit)
    undone.value = [...undone.value, edit]
  }
  async function redo(session: string): Promise<void> {
    const edit = lastOf(undone.value, session)
    if (!edit || !(await replace(edit.before, edit.after))) return
    undone.value = undone.value.filter((e) => e !== edit)
    done.value = [...done.value, edit]
  }
  const canUndo = (session: string) => lastOf(done.value, session) !== undefined
  const canRedo = (session: string) => lastOf(undone.value, session) !== undefined
  return { canUndo, canRedo, remember, undo, redo }
})
