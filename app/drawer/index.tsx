import { Redirect } from 'expo-router';

export default function Drawer() {
  return <Redirect href="/drawer/hooks" />;
}
