/** The worker that takes files in the background looks for more every second. */
const QUIET_S = 15;

/** Whether no worker has been there lately, by how long ago the server last saw one; null when it never did. */
export const isNobodyWorking = (seenS: number | null): boolean => seenS === null || seenS > QUIET_S;
