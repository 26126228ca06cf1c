/** Water stands hot so long before its jars, and no longer; never across a night. Common practice. */
export const HOT_BEFORE_MIN = 40;
