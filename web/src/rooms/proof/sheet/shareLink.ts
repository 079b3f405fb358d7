import type { Share } from '@bold-ballast/contract'

/** The address that somebody outside opens; where no outer address is known, this machine's own. */
export const shareLink = ({ token }: Pick<Share, 'token'>, origin: string | null | undefined): string =>
  `${origin ?? location.origin}/shared/${token}`

export const isOpen = ({ withdrawnAt, endsAt }: Share, now: number): boolean =>
  withdrawnAt === null && Date.parse(endsAt) > now
