<?php

namespace App\People;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The sessions of a person, told by what is known of the devices they were begun on. */
final class Devices
{
    /** How much of the hash names a session: who reads the list must not be able to take one over. */
    private const NAME = 32;

    private const SYSTEMS = ['iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows', 'Macintosh' => 'Mac', 'Linux' => 'Linux'];

    private const BROWSERS = ['Edg/' => 'Edge', 'OPR/' => 'Opera', 'Firefox/' => 'Firefox', 'Chrome/' => 'Chrome', 'Safari/' => 'Safari'];

    /** @return list<array{id: string, here: bool, device: string, address: ?string, last_at: string}> the latest used first */
    public function of(User $user, string $here): array
    {
        return array_values(DB::table('sessions')->where('user_id', $user->id)->where(
            'last_activity', '>', now()->getTimestamp() - 60 * (int) config('session.lifetime'),
        )->orderByDesc('last_activity')->get()
            ->map(static fn (object $row): array => [
                'id' => self::name((string) $row->id), 'here' => $row->id === $here, 'device' => self::device((string) $row->user_agent),
                'address' => $row->ip_address, 'last_at' => gmdate('Y-m-d\TH:i:s\Z', (int) $row->last_activity),
            ])->all());
    }

    /** @throws NotFoundHttpException where the person has no such session */
    public function end(User $user, string $name): void
    {
        $id = DB::table('sessions')->where('user_id', $user->id)->pluck('id')->first(
            static fn (mixed $id): bool => hash_equals(self::name((string) $id), $name),
        );
        abort_if($id === null, 404);
        DB::table('sessions')->where('id', $id)->delete();
    }

    /** Every session but the one to be kept, if any. */
    public function endAll(User $user, ?string $but = null): void
    {
        // Whatever else could sign in by itself can do so no longer.
        $user->setRememberToken(Str::random(60));
        $user->save();
        DB::table('sessions')->where('user_id', $user->id)->when($but !== null, fn ($sessions) => $sessions->where('id', '!=', $but))->delete();
    }

    private static function name(string $id): string
    {
        return substr(hash('sha256', $id), 0, self::NAME);
    }

    /** What a browser calls itself, in two words. */
    private static function device(string $agent): string
    {
        $find = static fn (array $names): ?string => array_values(
            array_filter($names, static fn (string $part): bool => str_contains($agent, $part), ARRAY_FILTER_USE_KEY),
        )[0] ?? null;
        $words = array_filter([$find(self::BROWSERS), $find(self::SYSTEMS)]);

        return $words === [] ? 'Unknown device' : implode(' on ', $words);
    }
}
