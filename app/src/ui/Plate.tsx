import { type ReactNode } from 'react';
import { View } from 'react-native';

/** A primary surface: an enamel plate with its cobalt rim on top. */
export function Plate({ children, className = '' }: { children: ReactNode; className?: string }) {
  return (
    <View
      className={`rounded-plate bg-plate p-4 ${className}`}
      style={{ boxShadow: 'inset 0 2px 0 #1D3F8F, 0 1px 0 #C6D0C7' }}
    >
      {children}
    </View>
  );
}
