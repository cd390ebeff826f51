/** The place of the first item of a list that is so, where all after it are so too; the list's length where none is. Halved down to. */
export function firstThat<T>(list: readonly T[], isSo: (item: T) => boolean): number {
  let low = 0;
  for (let high = list.length; low < high;) {
    const middle = (low + high) >> 1;
    if (isSo(list[middle] as T)) high = middle;
    else low = middle + 1;
  }
  return low;
}
