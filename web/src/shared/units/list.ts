/** Reads "5, 7.1, 10" or "5 7,1 10": the numbers, or what is wrong. A comma between digits without a space is a decimal one, unless there are two in a row: "5,10,20". */
export function parseList(text: string, whole: boolean): number[] | string {
  const parts = text
    .trim()
    .split(/[\s;]+|,(?=\s|$)|,(?!\d)/)
    .flatMap((part) => (/^\d+(,\d+){2,}$/.test(part) ? part.split(",") : [part]))
    .filter((part) => part !== "");
  if (parts.length === 0) return "Type the numbers, with spaces between.";
  const numbers: number[] = [];
  for (const part of parts) {
    const number = Number(part.replace(",", ".").replace(/s$/, ""));
    if (!Number.isFinite(number)) return `“${part}” is not a number.`;
    if (whole && !Number.isInteger(number)) return `“${part}” is not a whole number.`;
    numbers.push(number);
  }
  return numbers;
}
