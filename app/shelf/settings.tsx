export { SettingsScreen as default } from '@/features/shelf';
