/** What stands beside the files of a backup, for who opens it without the app. */
export const README = `A backup of Aubade.

manifest.json  what is in here: when it was made, how many records of each kind, and of every
               file its length and its SHA-256.
records/       everything, a JSON file a kind, with the ledgers. This is what is read back.
tables/        the same as CSV, to be opened in a spreadsheet. Nothing reads it back.
photos/        the pictures, named by the id of their record in records/photo.json.

Lengths are millimetres, masses milligrams, colours sRGB hex, times local to the device.
`;
