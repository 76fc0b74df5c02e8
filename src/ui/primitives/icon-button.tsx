import type { LucideIcon } from 'lucide-react-native';
import { token, type TokenName } from '../tokens';
import { Pressed } from './pressed';

interface IconButtonProps {
  label: string;
  icon: LucideIcon;
  onPress: () => void;
  disabled?: boolean;
  /** With an edge, where it stands among fields. */
  edged?: boolean;
  /** For a wet hand: 56 px. */
  tall?: boolean;
  size?: number;
  tone?: TokenName;
}

/** A button that is a drawing alone; its name is spoken. */
export function IconButton({
  label,
  icon: Icon,
  onPress,
  disabled = false,
  edged = false,
  tall = false,
  size = 20,
  tone = 'river',
}: IconButtonProps) {
  return (
    <Pressed
      spoken={label}
      onPress={onPress}
      disabled={disabled}
      className={`${tall ? 'h-touch w-touch' : 'h-target w-target'} items-center justify-center rounded-control border ${edged ? 'border-edge bg-plane' : 'border-transparent'} ${disabled ? 'opacity-40' : ''}`}
    >
      <Icon size={size} color={token(tone)} aria-hidden />
    </Pressed>
  );
}
