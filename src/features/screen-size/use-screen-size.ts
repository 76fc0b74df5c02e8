import { useEffect, useState } from 'react';
import { selectDevice, useApp } from '@/state';

/** A screen as this device knows it: the measure holds for it alone. */
export function screenKey(): string {
  return `${window.screen.width}x${window.screen.height}@${window.devicePixelRatio}`;
}

/** Pixels of a millimetre where that is known; otherwise why not. */
export type ScreenSize = { pxPerMm: number; why: null } | { pxPerMm: null; why: 'never' | 'other-screen' | 'zoomed' };

/** What is known of the size of this screen; a page that is zoomed by pinching shows nothing at its true size. */
export function useScreenSize(): ScreenSize {
  const { screen } = useApp(selectDevice);
  const [zoom, setZoom] = useState(() => window.visualViewport?.scale ?? 1);
  useEffect(() => {
    const viewport = window.visualViewport;
    const onResize = () => setZoom(viewport?.scale ?? 1);
    viewport?.addEventListener('resize', onResize);
    return () => viewport?.removeEventListener('resize', onResize);
  }, []);
  if (!screen) return { pxPerMm: null, why: 'never' };
  if (screen.key !== screenKey()) return { pxPerMm: null, why: 'other-screen' };
  if (Math.abs(zoom - 1) > ZOOM_TOLERANCE) return { pxPerMm: null, why: 'zoomed' };
  return { pxPerMm: screen.pxPerMm, why: null };
}

const ZOOM_TOLERANCE = 0.01;
