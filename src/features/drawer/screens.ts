export { ConvertScreen } from './convert-screen';
export { HooksScreen } from './hooks-screen';
export { ImportScreen } from './import-screen';
export { ModelScreen } from './model-screen';
export { heldPacket, PacketRow, PacketsScreen } from './packets-screen';
