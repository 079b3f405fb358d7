/** A few per cent rearward of the mass is stable (common practice). */
export const REARWARD = 0.05

/** How the balance of the air lies against the balance of the mass, in words. */
export function balanceVerdict(
  share: number | null,
  massFront: number,
  presses: boolean,
): { says: string; tone: string } {
  if (share === null && presses)
    return { says: 'too little, for how it is known, to share out between the axles', tone: 'text-ochre' }
  if (share === null)
    return { says: 'it lifts as a whole: there is no balance to speak of', tone: 'text-oxide' }
  if (share > massFront) return { says: 'forward of the mass: nervous at speed', tone: 'text-oxide' }
  if (share >= massFront - REARWARD)
    return { says: 'a little rearward of the mass: stable', tone: 'text-zinc' }
  return { says: 'far rearward of the mass: stable, and pushes wide at speed', tone: 'text-ochre' }
}
