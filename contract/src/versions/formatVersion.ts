/**
 * Version of the shape of records, wherever they are stored: in build files, workshop files, branches, histories and
 * outboxes. It moves whenever the shape does, with a step in `RECORD_STEPS` that brings a record of the last version
 * over; a test compares the shape with the published one of this version.
 */
export const FORMAT_VERSION = 12

/** In which the server says of which version its records are. */
export const FORMAT_HEADER = 'ballast-format'
