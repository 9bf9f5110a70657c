<?php

namespace App\Http\Resources;

use App\Models\Centre;
use App\Models\Circuit;
use App\Models\Leg;
use App\Models\User;
use Illuminate\Support\Facades\Gate;

/** Circuits, test centres and measured drives as the interface reads them. */
final class ShowCircuits
{
    /** @return array<string, mixed> as somebody sees it; who keeps it must be loaded in a list */
    public static function circuit(Circuit $circuit, User $user): array
    {
        return [
            ...$circuit->only(['id', 'name', 'minutes', 'order', 'ways', 'shared', 'rehearsal', 'note', 'centre_id']),
            'by' => $circuit->user->name, 'mine' => $circuit->user_id === $user->id, 'may_change' => Gate::forUser($user)->allows('update', $circuit),
        ];
    }

    /** @return array<string, mixed> */
    public static function centre(Centre $centre): array
    {
        return [
            ...$centre->only(['id', 'name', 'latitude_deg', 'longitude_deg', 'arrival', 'bays', 'ways_in_and_out', 'checks', 'note']),
            'traps' => array_map(static fn (array $trap): array => ['site' => $trap['site'], 'note' => $trap['note'] ?? null], $centre->traps),
        ];
    }

    /** @return array<string, mixed> a drive that was measured once */
    public static function leg(Leg $leg): array
    {
        return [
            'id' => $leg->id, 'from' => $leg->from_site_id, 'to' => $leg->to_site_id, 'time_s' => $leg->time_s, 'distance_m' => $leg->distance_m,
            'driven_at' => $leg->driven_at->toIso8601ZuluString(),
        ];
    }
}
