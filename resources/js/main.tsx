import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Problem, whenSomebodyElse } from '@/api/client';
import { App } from '@/app/App';
import { lookForSignal } from '@/app/lookForSignal';
import { lastAnswers } from '@/copies/here';
import { watchRoom } from '@/copies/room';
import { pageKeeper } from '@/copies/worker';
import { NoticeProvider } from '@/ui/Notice';

const client: QueryClient = new QueryClient({
    queryCache: new QueryCache({
        // The session ran out elsewhere: back to the sign-in; what waits in the queue stays.
        onError: (error) => error instanceof Problem && error.status === 401 && client.setQueryData(['session'], { user: null }),
    }),
    defaultOptions: {
        queries: {
            staleTime: 15_000,
            // Whether there is signal is known by what is asked, not by what the device believes.
            networkMode: 'always',
            refetchOnReconnect: true,
            persister: lastAnswers.persister,
            retry: (tries, error) => error instanceof Problem && error.isOutOfReach && tries < 1,
        },
        mutations: { networkMode: 'always' },
    },
});

lastAnswers.of(client);
lookForSignal(client);
pageKeeper.begin();
watchRoom();

// Another tab has signed somebody else in: everything read so far was another's, and is asked for anew.
whenSomebodyElse(() => void client.resetQueries());

createRoot(document.getElementById('root')!).render(
    <StrictMode>
        <QueryClientProvider client={client}>
            <NoticeProvider>
                <App />
            </NoticeProvider>
        </QueryClientProvider>
    </StrictMode>,
);
