/** What lies on the scales. */
export interface Weighed {
  grams: number
  /** It comes from the stand-in that is shipped with Cadrum, not from scales. */
  simulated: boolean
}

export interface Scales {
  /** The reading now; fails where the device does not answer. `put` is what a stand-in is told lies on it. */
  read: (put: { grams: number; what: string; time: number }) => Promise<Weighed>
}

/** The scales that the server simulates. */
export const scales: Scales = {
  read: (put) => $fetch<Weighed>('/api/scales', { query: put }),
}
