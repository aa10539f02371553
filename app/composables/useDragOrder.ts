import Sortable from 'sortablejs'
import { onBeforeUnmount, onMounted, type Ref } from 'vue'

/**
 * Lets the items of a list be dragged by their `.grip`, with mouse or finger; `moved` hears which
 * went how many places on. The order itself stays with whoever owns the list.
 */
export function useDragOrder(
  list: Ref<HTMLElement | undefined>,
  moved: (index: number, by: number) => void,
): void {
  let sortable: Sortable | undefined
  onMounted(() => {
    if (!list.value) return
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches
    sortable = Sortable.create(list.value, {
      handle: '.grip',
      animation: still ? 0 : 150,
      onEnd({ item, from, oldIndex, newIndex }) {
        if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
        // Back to where it was: the list is drawn from its data.
        from.insertBefore(item, from.children[oldIndex + (newIndex < oldIndex ? 1 : 0)] ?? null)
        moved(oldIndex, newIndex - oldIndex)
      },
    })
  })
  onBeforeUnmount(() => sortable?.destroy())
}
