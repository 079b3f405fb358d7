/** Digits and letters that nobody takes for another: no I, L, O, U. */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'
const LENGTH = 8
const BITS_EACH = 5
/** Bits of the id that a code holds, in hex digits of it. */
const HEX_DIGITS = (LENGTH * BITS_EACH) / 4

/**
 * A code short enough to be read out and typed, that leads from a sheet of paper back to the record.
 *
 * It is the beginning of the record's id, so nothing has to be stored and the same record always has the same code.
 *
 * @param id a UUID
 * @source Douglas Crockford’s base 32: no I, L, O or U, so that none is misread
 * @example recordCode('00000000-0000-4000-8000-000000000000') // '0000-0000'
 */
export function recordCode(id: string): string {
  const bits = BigInt(`0x${id.replaceAll('-', '').slice(0, HEX_DIGITS)}`)
  const letters = Array.from({ length: LENGTH }, (_, i) => {
    const shift = BigInt(BITS_EACH * (LENGTH - 1 - i))
    return LETTERS.charAt(Number((bits >> shift) & 31n))
  }).join('')
  return `${letters.slice(0, 4)}-${letters.slice(4)}`
}

/**
 * What ids begin with that a code stands for, as hex digits without dashes; `null` where it is no code.
 *
 * @param typed with or without its dash, in any case; O is taken for 0, I and L for 1
 * @example idStart('0000-000o') // '0000000000'
 */
export function idStart(typed: string): string | null {
  const letters = typed.toUpperCase().replace(/[\s-]/g, '').replaceAll('O', '0').replace(/[IL]/g, '1')
  if (letters.length !== LENGTH || [...letters].some((l) => !LETTERS.includes(l))) return null
  const bits = [...letters].reduce((sum, l) => (sum << BigInt(BITS_EACH)) | BigInt(LETTERS.indexOf(l)), 0n)
  return bits.toString(16).padStart(HEX_DIGITS, '0')
}
