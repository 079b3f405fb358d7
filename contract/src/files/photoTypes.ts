/** Of pictures that are kept. */
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const
