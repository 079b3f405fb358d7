/**
 * Passwords of twelve characters and more that everybody tries first: runs of keys, of digits, and one word twice or
 * thrice. Common practice; no list that is shipped can hold them all, and length does the most.
 */
const RUNS = [
  '01234567890123456789',
  'abcdefghijklmnopqrstuvwxyz',
  'qwertyuiopasdfghjklzxcvbnm',
  'qwertzuiopasdfghjklyxcvbnm',
]
const FIRST_TRIED =
  /^(pass(word)?|letmein|welcome|changeme|administrator|iloveyou|boldballast|garage)[\W\d_]*$/

/** Why a password is among the first that are tried, in words; null where it isn't. */
export function commonFault(password: string, login: string): string | null {
  const bare = password.toLowerCase()
  const letters = new Set(bare)
  if (letters.size < 5) return 'It is made of too few different characters.'
  if (bare.includes(login.toLowerCase()) && login.length > 2 && bare.length < login.length + 8)
    return 'It is nearly the sign-in name.'
  if (FIRST_TRIED.test(bare)) return 'It is among the first that anybody tries.'
  for (const run of RUNS) {
    const both = run + run
    if (both.includes(bare) || both.includes([...bare].reverse().join('')))
      return 'It is a run of keys, among the first that anybody tries.'
  }
  for (let length = 1; length <= bare.length / 2; length += 1)
    if (bare.length % length === 0 && bare === bare.slice(0, length).repeat(bare.length / length))
      return 'It says the same again and again.'
  return null
}
