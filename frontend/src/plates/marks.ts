import MARKS from "virtual:marks";

/** Drawings that never change, 64 × 64, a file each in marks/, by the drawing key the flora gives them. */
export const mark = (key: string): string | undefined => MARKS[key];
export const markKeys = (): string[] => Object.keys(MARKS);
