/** A crumb, 10 g: less than this is a difference of scales and of rounded pounds, and nobody is asked about it. Common practice. */
export const CRUMB_KG = 0.01;
