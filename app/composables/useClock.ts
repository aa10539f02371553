import { addSeconds, parseISO } from 'date-fns'
import { timeOf } from './useMeasures'

/** `9:05`, or `9:05 am`, for so many seconds after a session's start. */
export const clockTime = (start: string, seconds: number): string =>
  timeOf(addSeconds(parseISO(start), seconds))

/** `2 h 05`, `35 min` or, where it is less than half a minute, `20 s`, from seconds. */
export function spanText(seconds: number): string {
  if (seconds > 0 && seconds < 30) return `${Math.ceil(seconds)} s`
  const minutes = Math.round(seconds / 60)
  const hours = Math.floor(minutes / 60)
  return hours ? `${hours} h ${String(minutes % 60).padStart(2, '0')}` : `${minutes} min`
}

/** `4:07` from seconds, for a timer; a minus before what runs over. */
export function timerText(seconds: number): string {
  const whole = Math.abs(Math.round(seconds))
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor((whole % 3600) / 60)
  const rest = String(whole % 60).padStart(2, '0')
  const sign = seconds < 0 && whole > 0 ? '−' : ''
  return hours
    ? `${sign}${hours}:${String(minutes).padStart(2, '0')}:${rest}`
    : `${sign}${minutes}:${rest}`
}
