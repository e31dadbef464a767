import { useQuery } from '@tanstack/react-query';
import { toString } from 'qrcode';

/** An address as a picture that a device reads (ISO/IEC 18004). */
export default function QrCode({ text, label }: { text: string; label: string }) {
  const drawn = useQuery({
    queryKey: ['qr', text],
    queryFn: () => toString(text, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }),
    staleTime: Infinity,
    gcTime: 0,
  });
  return (
    <img
      alt={label}
      // Dark on light in either theme: some devices read it in no other way.
      className="size-44 bg-white"
      src={drawn.data === undefined ? undefined : `data:image/svg+xml,${encodeURIComponent(drawn.data)}`}
    />
  );
}
