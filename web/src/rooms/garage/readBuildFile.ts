import {
  buildFile,
  HOMECOMING_FORMAT,
  homecomingFile,
  upgradeFile,
  upgradeHomecoming,
  type BuildFile,
  type HomecomingFile,
} from '@bold-ballast/contract'

const LARGEST = 80 * 1024 * 1024

export type ReadBuildFile = { file: BuildFile } | { homecoming: HomecomingFile } | { faults: string[] }

const isHomecoming = (json: unknown): boolean =>
  typeof json === 'object' && json !== null && Reflect.get(json, 'format') === HOMECOMING_FORMAT

/** Reads a build file and says what is wrong with it, by place, before anything is sent. */
export async function readBuildFile(chosen: File): Promise<ReadBuildFile> {
  if (chosen.size === 0) return { faults: ['The file is empty. Export the build again.'] }
  if (chosen.size > LARGEST)
    return {
      faults: [`The file has ${(chosen.size / 1048576).toFixed(0)} MB. It has 80 MB at most.`],
    }
  let json: unknown
  try {
    json = JSON.parse(await chosen.text())
  } catch (error) {
    return {
      faults: [
        `${chosen.name} can’t be read as JSON: ${(error as Error).message}. It may have been cut off; export it again.`,
      ],
    }
  }
  if (isHomecoming(json)) {
    const brought = homecomingFile.safeParse(upgradeHomecoming(json))
    return brought.success ? { homecoming: brought.data } : { faults: faultsOf(brought.error.issues) }
  }
  const parsed = buildFile.safeParse(upgradeFile(json))
  return parsed.success ? { file: parsed.data } : { faults: faultsOf(parsed.error.issues) }
}

/** What is wrong with a file, by place. */
function faultsOf(issues: readonly { path: PropertyKey[]; message: string }[]): string[] {
  const faults = issues.slice(0, 8).map((i) => `${i.path.join('.') || 'The file'}: ${i.message}`)
  return issues.length > 8 ? [...faults, `And ${issues.length - 8} more.`] : faults
}
