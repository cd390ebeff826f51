/** A copy of plain data, all the way down. */
export const plainCopy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
