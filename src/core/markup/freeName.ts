/**
 * The wanted name where it is free, else the first free one with a number behind it, from 2 on.
 * @param isTaken whether something else has a name
 */
export function freeName(wanted: string, isTaken: (name: string) => boolean): string {
  let name = wanted;
  for (let count = 2; isTaken(name); count++) name = `${wanted}-${count}`;
  return name;
}
