export { depthOf, JSON_LIMITS, readJson, type JsonRead } from './read-json';
export { isPlainPath, isZip, openZip, Packer, ZIP_LIMITS, type ZipLimits, type ZipRead } from './zip';
