/** A copy of plain data that can be edited without touching the original. */
export const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
