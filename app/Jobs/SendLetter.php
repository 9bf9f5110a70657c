<?php

namespace App\Jobs;

use App\Models\Letter;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Throwable;

/**
 * Sends a letter by mail, beside the requests: whoever asks for one must not learn from the time it takes whether there is an account.
 * What was sent is kept without its way in; what could not be sent stays in the outbox whole, where the owner finds it.
 */
final class SendLetter implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    public int $tries = 1;

    public function __construct(public readonly string $id)
    {
    }

    public function handle(): void
    {
        $letter = Letter::query()->withoutGlobalScope('school')->with('user')->whereKey($this->id)->first();
        if (! $letter instanceof Letter || $letter->body === null) {
            return;
        }
        try {
            Mail::raw($letter->body, static fn ($mail) => $mail->to($letter->user->email, $letter->user->name)->subject($letter->subject));
            Letter::query()->withoutGlobalScope('school')->whereKey($letter->id)->toBase()->update(['body' => null]);
        } catch (Throwable $failed) {
            Log::error('A letter could not be sent by mail.', ['class' => $failed::class]);
        }
    }
}
