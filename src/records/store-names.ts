/** The browser's store of this app, and what the keys of pictures in it begin with: page and worker open the same one. */
export const STORE_NAME = 'aubade';
export const BLOB_PREFIX = 'blob/';
