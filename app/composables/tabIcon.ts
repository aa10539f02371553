/** The tab's icon with a word of up to three characters in it, as an address that holds the picture itself. */
export function tabIcon(word: string, hot: boolean): string {
  const size = word.length > 2 ? 26 : 34
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64"><rect width="64" height="64" rx="14" fill="${hot ? '#a63a24' : '#1f4d3a'}"/><text x="32" y="${32 + size * 0.36}" font-family="sans-serif" font-weight="700" font-size="${size}" text-anchor="middle" fill="#fff">${word}</text></svg>`
  return `data:image/svg+xml,${encodeURIComponent(svg)}`
}
