/** What a probe in the food reads. */
export interface Reading {
  celsius: number
  /** It comes from the stand-in that is shipped with Cadrum, not from food. */
  simulated: boolean
}

/** Where the food is and since when, for a stand-in; a real probe needs none of it. */
export interface Where {
  start: number
  surroundings: number
  seconds: number
}

export interface Thermometer {
  /** The reading now; fails where the device does not answer. */
  read: (where: Where) => Promise<Reading>
}

/** The thermometer that the server simulates. */
export const thermometer: Thermometer = {
  read: (where) => $fetch<Reading>('/api/thermometer', { query: where }),
}
