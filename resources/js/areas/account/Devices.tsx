import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import type { Device } from '@/api/types';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';

/** Where the user is signed in, with an end to each. */
export function Devices() {
    const client = useQueryClient();
    const clock = useClock();
    const notice = useNotice();
    const devices = useQuery({ queryKey: ['sessions'], queryFn: () => api.GET('/sessions'), staleTime: 0 });
    const end = async (device: Device) => {
        await api.DELETE('/sessions/{session}', at({ session: device.id }));
        await client.invalidateQueries({ queryKey: ['sessions'] });
        notice({ text: `Signed out on ${device.device}.` });
    };
    return (
        <section className="grid gap-3" aria-labelledby="devices">
            <h2 id="devices" className="text-xl">
                Signed in on
            </h2>
            <ul>
                {devices.data?.map((device) => (
                    <li key={device.id} className="border-hair flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
                        <span className="font-semibold">{device.device}</span>
                        <span className="text-quiet">
                            {device.here ? 'this device' : `last used ${clock.short(device.last_at)}, ${clock.time(device.last_at)}`}
                            {device.address && ` · from ${device.address}`}
                        </span>
                        {!device.here && (
                            <button type="button" className="key ml-auto" aria-label={`Sign out ${device.device}`} onClick={() => void end(device)}>
                                Sign out
                            </button>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
