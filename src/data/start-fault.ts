/** Why the data cannot be opened, and what to do. The message is for people. */
export class StartFault extends Error {}
