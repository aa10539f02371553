import { createHash } from 'node:crypto'

/**
 * Every page carries a content security policy: nothing from outside, no eval, and of inline
 * scripts only the ones that this very page was made with, by their hashes. It stands in the
 * page itself, so that prerendered pages have it too.
 */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string' || !response.body.includes('<head>')) return
    const hashes = [...response.body.matchAll(/<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g)]
      .map((match) =>
        createHash('sha256')
          .update(match[1] ?? '')
          .digest('base64'),
      )
      .map((hash) => `'sha256-${hash}'`)
    const policy = [
      "default-src 'self'",
      `script-src 'self' ${hashes.join(' ')}`,
      "style-src 'self' 'unsafe-inline'",
      "img-src 'self' data: blob:",
      "font-src 'self'",
      "connect-src 'self'",
      "worker-src 'self'",
      "object-src 'none'",
      "base-uri 'self'",
      "form-action 'self'",
    ].join('; ')
    response.body = response.body.replace(
      '<head>',
      `<head><meta http-equiv="Content-Security-Policy" content="${policy}">`,
    )
  })
})
