/** Only this device is served unless somebody says otherwise: `HOST=0.0.0.0`. */
export default defineNitroPlugin(() => {
  process.env.HOST ??= process.env.NITRO_HOST ?? '127.0.0.1'
})
