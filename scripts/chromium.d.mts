export declare function chromiumPath(): string;
export declare function wholeChromiumPath(): string;
export declare function ensureChromium(): string;
