import { PHOTO_TYPES } from '@bold-ballast/contract'
import express, { type Request, type Router } from 'express'
import { besideRoutes } from '../beside/besideRoutes'
import { Refusal } from '../http/Refusal'
import type { RoomOf } from '../workshop/Workrooms'

export const LARGEST_PHOTO = '2mb'

/** What is kept beside a photograph's bytes. */
export type PhotoMore = { readonly type: string }

/** How a photograph is read and checked, whatever it hangs from. */
const PHOTO = {
  file: 'photo',
  named: 'photograph',
  body: express.raw({ type: [...PHOTO_TYPES], limit: LARGEST_PHOTO }),
  check: (bytes: unknown, request: Request) => {
    if (!Buffer.isBuffer(bytes) || bytes.length === 0)
      throw new Refusal(415, 'not-valid', 'That is no photograph', 'Send a JPEG, PNG or WebP picture.')
    return { type: request.headers['content-type'] ?? '' }
  },
  typeOf: ({ type }: PhotoMore) => type,
} as const

/** Photographs of lines' parts, and pictures of jobs. */
export const photoRoutes = (roomOf: RoomOf): readonly Router[] => [
  besideRoutes<PhotoMore>(roomOf, {
    ...PHOTO,
    records: 'lines',
    list: 'photos',
    storeOf: (room) => room.photos,
    listed: ({ recordId, sha256 }) => ({ lineId: recordId, sha256 }),
  }),
  besideRoutes<PhotoMore>(roomOf, {
    ...PHOTO,
    records: 'pictures',
    list: 'pictures',
    storeOf: (room) => room.pictures,
    listed: ({ recordId, sha256 }) => ({ pictureId: recordId, sha256 }),
  }),
]
