/** Version of the server and of its description. */
export const VERSION = '0.1.0';
