/** The array with at least double the room. */
export function grown(array: Int32Array<ArrayBuffer>, least = 0): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(Math.max(least, array.length * 2))
  larger.set(array)
  return larger
}
