/** How far a probe may be off that was not held into boiling water of this kitchen lately. Common practice. */
export const UNCHECKED_OFF_F = 2;
