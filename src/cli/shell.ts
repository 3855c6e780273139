/**
 * What a command speaks to: `print` takes a line of data, `tell` a line for people; paths start from `folder`, and
 * `built` is the folder that the build has filled.
 */
export type Shell = { print(line: string): void; tell(line: string): void; folder: string; built: string }

/** The call or a file is unusable: one line that says what and where; the command ends with 2. */
export class Unusable extends Error {}
