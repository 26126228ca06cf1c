import { type Href, Link } from 'expo-router';
import { type ReactNode } from 'react';
import { Pressable, type ViewStyle } from 'react-native';

interface RowLinkProps {
  href: Href;
  /** What it is and where it leads, for screen readers; without one its words are read. */
  label?: string;
  className?: string;
  style?: ViewStyle;
  children: ReactNode;
}

/** A whole row that leads somewhere: a real link, so that the keyboard and a long press work as on any page. */
export function RowLink({ href, label, className, style, children }: RowLinkProps) {
  return (
    <Link href={href} asChild>
      <Pressable aria-label={label} className={className} style={style}>
        {children}
      </Pressable>
    </Link>
  );
}
