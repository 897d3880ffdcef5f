/** Whether people sign in here: so wherever others than this machine can reach it. */
export const signInNeeded = (): boolean => process.env.LUMBET_SIGN_IN === "1";
