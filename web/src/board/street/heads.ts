/** Lines on which heads fall are drawn for people so tall, m: small and large grown ones, and a child of eight. */
export const HEADS: readonly number[] = [1.27, 1.55, 1.7, 1.85];
