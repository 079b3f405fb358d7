import { PHOTO_TYPES } from '@bold-ballast/contract'
import express, { type Router } from 'express'
import { besideRoutes } from '../beside/besideRoutes'
import { Refusal } from '../http/Refusal'
import type { RoomOf } from '../workshop/Workrooms'

export const LARGEST_PHOTO = '2mb'

/** What is kept beside a photograph's bytes. */
export type PhotoMore = { readonly type: string }

export const photoRoutes = (roomOf: RoomOf): Router =>
  besideRoutes<PhotoMore>(roomOf, {
    records: 'lines',
    file: 'photo',
    list: 'photos',
    named: 'photograph',
    storeOf: (room) => room.photos,
    body: express.raw({ type: [...PHOTO_TYPES], limit: LARGEST_PHOTO }),
    check: (bytes, request) => {
      if (!Buffer.isBuffer(bytes) || bytes.length === 0)
        throw new Refusal(415, 'not-valid', 'That is no photograph', 'Send a JPEG, PNG or WebP picture.')
      return { type: request.headers['content-type'] ?? '' }
    },
    typeOf: ({ type }) => type,
    listed: ({ recordId, sha256 }) => ({ lineId: recordId, sha256 }),
  })
