/** The build that a page's address opens; null where it opens none. */
export const openBuildIn = (path: string): string | null => /^\/builds\/([^/]+)/.exec(path)?.[1] ?? null

/** Whether a build is looked at in this tab. */
export const isOpenHere = (buildId: string): boolean => openBuildIn(globalThis.location.pathname) === buildId
