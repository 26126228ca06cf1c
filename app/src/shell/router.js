// Of the router only what is used: its own index brings every kind of navigator along.
export { useLocalSearchParams, usePathname, useRouter } from 'expo-router/build/hooks';
export { Link } from 'expo-router/build/link/Link';
export { Slot } from 'expo-router/build/views/Navigator';
