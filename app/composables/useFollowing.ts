import { computed, ref, type Ref } from 'vue'

/**
 * What is followed through the weave: a dish, or the cook or place whose heading is looked at (by
 * pointer or by keyboard) or was kept by a tap. Everything else steps back.
 */
export function useFollowing(input: {
  /** The dish that the page follows. */
  dish: Ref<string | undefined>
  hands: Ref<readonly { cook: string; activity?: string | undefined }[]>
  stretches: Ref<readonly { strand: string; activity: string }[]>
}) {
  const lookedAt = ref<string>()
  const kept = ref<string>()
  const dishLooked = ref<string>()
  const column = computed(() => lookedAt.value ?? kept.value)
  const dish = computed(
    () => dishLooked.value ?? (column.value === undefined ? input.dish.value : undefined),
  )
  const following = computed(() => column.value !== undefined || dish.value !== undefined)
  /** All steps of a cook, or all at a place: they are seen wherever they are drawn. */
  const steps = computed(
    () =>
      new Set([
        ...input.hands.value.filter((h) => h.cook === column.value).map((h) => h.activity),
        ...input.stretches.value.filter((s) => s.strand === column.value).map((s) => s.activity),
      ]),
  )

  const faded = (of: {
    dish?: string | undefined
    activity?: string | undefined
    cook?: string
  }) =>
    dish.value !== undefined
      ? of.dish !== dish.value
      : column.value !== undefined &&
        of.cook !== column.value &&
        (of.activity === undefined || !steps.value.has(of.activity))

  const keep = (id: string) => (kept.value = kept.value === id ? undefined : id)
  return { lookedAt, dishLooked, kept, keep, following, faded }
}
