import { ref, watch, type Ref } from 'vue'
import type { LoomRow } from '~~/core/board'
import { withEaten, withFixed, type Session } from '~~/core/session'

type Edit = (session: Session) => Session

/**
 * Moving about on the loom: which cell has the focus, what its keys do, and what is dragged. Arrows go from
 * cell to cell, Enter eats a dish that evening or not, and with Shift the arrows take a dish along to the
 * next evening or sitting.
 */
export function useLoom(
  rows: Ref<readonly LoomRow[]>,
  { change, open }: { change: (edit: Edit) => unknown; open: (dish: string) => unknown },
) {
  const at = ref<{ row: string; dish: string }>()
  /** What was taken along last: its row may not have heard of it yet. */
  const carried = ref<{ row: string; dish: string }>()
  watch(rows, () => (carried.value = undefined))
  const moved = ref<{ row: string; dish: string }>()
  const cell = (row: string, dish: string) =>
    rows.value.find((r) => r.id === row)?.cells.find((c) => c.dish === dish)

  function act(row: string, dish: string) {
    const kind = rows.value.find((r) => r.id === row)?.kind
    const own = cell(row, dish)
    if (!own) return
    if (kind === 'cooking') open(dish)
    else change((s) => withEaten(s, dish, row, !own.eaten))
  }

  /** Takes what a dish has in one row to another: its plate to another evening, its work to another sitting. */
  function take(dish: string, from: string, to: string) {
    const [a, b] = [from, to].map((id) => rows.value.find((r) => r.id === id))
    const own = cell(from, dish)
    if (!a || !b || !own || a.kind !== b.kind || from === to) return false
    if (a.kind === 'evening') {
      const there = carried.value?.row === from && carried.value.dish === dish
      if (!own.eaten && !there) return false
      carried.value = { row: to, dish }
      change((s) => withEaten(withEaten(s, dish, from, false), dish, to, true))
    } else {
      if (!own.steps.length) return false
      change((s) => own.steps.reduce((now, step) => withFixed(now, dish, step, to), s))
    }
    at.value = { row: to, dish }
    focus()
    return true
  }

  function key(row: string, dish: string, event: KeyboardEvent) {
    const k = rows.value.findIndex((r) => r.id === row)
    const dishes = rows.value[k]?.cells.map((c) => c.dish) ?? []
    const d = dishes.indexOf(dish)
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key]
    const side = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (event.key === 'Enter' || event.key === ' ') act(row, dish)
    else if (step && event.shiftKey) {
      const kind = rows.value[k]!.kind
      let to = k + step
      while (rows.value[to] && rows.value[to]!.kind !== kind) to += step
      if (rows.value[to]) take(dish, row, rows.value[to]!.id)
    } else if (step) go(k + step, d)
    else if (side) go(k, d + side)
    else return
    event.preventDefault()
  }
  function go(k: number, d: number) {
    const row = rows.value[Math.min(Math.max(0, k), rows.value.length - 1)]
    const next = row?.cells[Math.min(Math.max(0, d), row.cells.length - 1)]
    if (!row || !next) return
    at.value = { row: row.id, dish: next.dish }
    focus()
  }
  /** The cell that has it by now gets the focus of the page. */
  const focus = () =>
    requestAnimationFrame(() =>
      document
        .querySelector<HTMLElement>(`[data-row="${at.value?.row}"][data-dish="${at.value?.dish}"]`)
        ?.focus(),
    )

  /** Drags a plate or a knot to another row of its kind; without a move it is a click. */
  function grab(row: string, dish: string, event: PointerEvent) {
    const own = cell(row, dish)
    if (event.button !== 0 || !own || !(own.eaten || own.steps.length)) return
    moved.value = { row, dish }
    const drop = (e: PointerEvent) => {
      const under = document
        .elementFromPoint(e.clientX, e.clientY)
        ?.closest<HTMLElement>('[data-row]')
      const to = under?.dataset.row
      // What was dropped is not clicked as well, where a click follows at all.
      if (to !== undefined && take(dish, row, to)) swallowClick()
    }
    const over = new AbortController()
    const end = (then?: (e: PointerEvent) => void) => (e: PointerEvent) => {
      over.abort()
      moved.value = undefined
      then?.(e)
    }
    window.addEventListener('pointerup', end(drop), { signal: over.signal })
    window.addEventListener('pointercancel', end(), { signal: over.signal })
  }
  const focusedIn = (row: LoomRow, first: boolean) => {
    const here = at.value
    if (here?.row === row.id) return here.dish
    // Where its row is gone, the first takes over.
    const lost = !here || !rows.value.some((r) => r.id === here.row)
    return lost && first ? row.cells[0]?.dish : undefined
  }
  return { at, moved, act, key, grab, take, focusedIn }
}

/** Milliseconds within which the click that belongs to a drop would come. */
const CLICK_MS = 100
function swallowClick() {
  const over = new AbortController()
  window.addEventListener('click', (c) => c.stopPropagation(), {
    capture: true,
    signal: over.signal,
  })
  setTimeout(() => over.abort(), CLICK_MS)
}
