export const sayCorners = (count: number): string => (count === 1 ? '1 corner' : `${count} corners`)
