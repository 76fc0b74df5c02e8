export { depthOf, JSON_LIMITS, readJson, type JsonRead } from './read-json';
export { joined } from './text';
export { isPlainPath, openZip, Packer, ZIP_LIMITS, type ZipLimits, type ZipRead } from './zip';
