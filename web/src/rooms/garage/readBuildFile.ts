import { buildFile, upgradeFile, type BuildFile } from '@bold-ballast/contract'

const LARGEST = 40 * 1024 * 1024

export type ReadBuildFile = { file: BuildFile } | { faults: string[] }

/** Reads a build file and says what is wrong with it, by place, before anything is sent. */
export async function readBuildFile(chosen: File): Promise<ReadBuildFile> {
  if (chosen.size === 0) return { faults: ['The file is empty. Export the build again.'] }
  if (chosen.size > LARGEST)
    return {
      faults: [`The file has ${(chosen.size / 1048576).toFixed(0)} MB. A build file has 40 MB at most.`],
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
  const parsed = buildFile.safeParse(upgradeFile(json))
  if (parsed.success) return { file: parsed.data }
  const issues = parsed.error.issues
  const faults = issues.slice(0, 8).map((i) => `${i.path.join('.') || 'The file'}: ${i.message}`)
  return { faults: issues.length > 8 ? [...faults, `And ${issues.length - 8} more.`] : faults }
}
