/** The path of Chromium's program. */
export declare function chromiumPath(): string;
