<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Models\Centre;
use App\Models\Change;
use App\Models\Circuit;
use App\Models\Learner;
use App\Models\Place;
use App\Models\Site;
use App\Models\Vehicle;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What was changed in the school, for its owner; and, for everybody, what was archived and can be brought back. */
final class ChangeController extends Controller
{
    private const SHOWN = 100;

    public function index(Request $request): JsonResponse
    {
        $said = $request->validate(Taken::changes());
        $before = isset($said['before']) ? Change::query()->whereKey($said['before'])->firstOrFail() : null;
        // Several may be of one moment: their ids tell them apart.
        $changes = Change::query()->with('user')->when(
            $before !== null, fn (Builder $changes) => $changes->whereRaw('(at, id) < (?, ?)', [$before?->at->format('Y-m-d H:i:s.v'), $before?->id]),
        )->latest('at')->orderByDesc('id')->limit(self::SHOWN + 1)->get();

        return response()->json(['more' => $changes->count() > self::SHOWN, 'changes' => $changes->take(self::SHOWN)->map(static fn (Change $change): array => [
            ...$change->only(['id', 'what', 'kind', 'subject_id', 'name']), 'details' => (object) $change->details, 'by' => $change->user->name,
            'at' => $change->at->format('Y-m-d\TH:i:s.v\Z'),
        ])]);
    }

    public function archived(Request $request): JsonResponse
    {
        $may = fn (Circuit $circuit): bool => Gate::forUser($this->user($request))->allows('update', $circuit);

        return response()->json([
            'learners' => self::archivedOf(Learner::onlyTrashed()->whereNull('erased_at')->get()),
            'places' => self::archivedOf(Place::onlyTrashed()->get()), 'sites' => self::archivedOf(Site::onlyTrashed()->get()),
            'vehicles' => self::archivedOf(Vehicle::onlyTrashed()->get()), 'centres' => self::archivedOf(Centre::onlyTrashed()->get()),
            'circuits' => self::archivedOf(Circuit::onlyTrashed()->get()->filter($may)),
        ]);
    }

    /**
     * @param  iterable<Model>  $rows
     * @return list<array{id: string, name: string, at: string, by: ?string}> the last archived first
     */
    private static function archivedOf(iterable $rows): array
    {
        $rows = collect($rows);
        $by = Change::query()->with('user')->where('what', 'archived')->whereIn('subject_id', $rows->pluck('id'))->orderBy('at')->get()->keyBy('subject_id');

        return array_values($rows->sortByDesc('deleted_at')->map(static fn (Model $row): array => [
            'id' => (string) $row->getKey(), 'name' => (string) $row->getAttribute('name'),
            'at' => $row->getAttribute('deleted_at')->toIso8601ZuluString(), 'by' => $by->get($row->getKey())?->user->name,
        ])->all());
    }
}
