<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Models\User;
use App\People\Devices;
use App\People\HandOver;
use App\People\Letters;
use App\People\Staff;
use App\People\WaysIn;
use App\School\ChangeLog;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The people of a school, for its owner: invited, renamed, suspended, their learners handed over. Nobody is ever removed: marks carry their name. */
final class PeopleController extends Controller
{
    public function index(Staff $staff): JsonResponse
    {
        return response()->json(['people' => $staff->all(), 'mail' => Letters::mailIsSetUp()]);
    }

    public function store(Request $request, Staff $staff, Letters $letters): JsonResponse
    {
        $said = $this->facts($request, null);
        $person = DB::transaction(function () use ($said, $request, $letters): User {
            $person = User::invited($said['name'], $said['email'], $said['role'], $this->user($request)->school_id);
            $letters->to($person);

            return $person;
        });

        return response()->json($staff->one($person), 201);
    }

    public function update(Request $request, Staff $staff, string $person): JsonResponse
    {
        $found = $staff->find($person);
        $said = $this->facts($request, $found);
        if ($said['role'] !== 'owner') {
            $this->notTheLast($found, 'role');
        }
        DB::transaction(function () use ($found, $said): void {
            // A way in was written to the address of before: it leads nowhere from now on.
            if ($found->email !== $said['email']) {
                WaysIn::close($found);
            }
            $found->fill(['name' => $said['name'], 'email' => $said['email']]);
            $found->role = $said['role'] === 'owner' ? 'owner' : 'instructor';
            $found->save();
        });

        return response()->json($staff->one($found));
    }

    /** Another invitation, or a new password: whichever the person needs. */
    public function letter(Staff $staff, Letters $letters, string $person): JsonResponse
    {
        $found = $staff->find($person);
        abort_if($found->isSuspended(), 422, 'Who is suspended gets no letter: let them in again first.');
        $letters->to($found);
        ChangeLog::note('letter', $found, ['kind' => WaysIn::kind($found)]);

        return response()->json($staff->one($found));
    }

    public function suspend(Request $request, Staff $staff, Devices $devices, string $person): JsonResponse
    {
        $found = $staff->find($person);
        if ($found->id === $this->user($request)->id) {
            throw ValidationException::withMessages(['person' => 'You cannot suspend yourself.']);
        }
        DB::transaction(function () use ($found, $devices): void {
            $this->notTheLast($found, 'person');
            $found->suspended_at ??= Carbon::now();
            $found->save();
            $devices->endAll($found);
            WaysIn::close($found);
            ChangeLog::note('suspended', $found);
        });

        return response()->json($staff->one($found));
    }

    public function letIn(Staff $staff, string $person): JsonResponse
    {
        $found = $staff->find($person);
        $found->suspended_at = null;
        $found->save();
        ChangeLog::note('let-in', $found);

        return response()->json($staff->one($found));
    }

    /** What handing over would mean: whose lessons, and where they would lie on top of others. */
    public function lessonsAhead(Request $request, Staff $staff, HandOver $handOver, string $person): JsonResponse
    {
        $to = $request->validate(Taken::lessonsAhead())['to'] ?? null;

        return response()->json($handOver->plan($staff->find($person), $to === null ? null : $staff->find($to)));
    }

    public function handOver(Request $request, Staff $staff, HandOver $handOver, string $person): JsonResponse
    {
        $said = $request->validate(Taken::handOver());
        [$from, $to] = [$staff->find($person), $staff->find($said['to'])];
        if ($to->id === $from->id || $to->isSuspended()) {
            throw ValidationException::withMessages(['to' => $to->id === $from->id ? 'Choose somebody else.' : 'Choose somebody who is not suspended.']);
        }
        $moved = DB::transaction(function () use ($from, $to, $said, $handOver): array {
            $moved = $handOver->move($from, $to, $said['learners'] ?? null);
            ChangeLog::note('handed-over', $from, ['lessons' => $moved['moved'], 'to' => $to->name]);

            return $moved;
        });

        return response()->json($moved);
    }

    /** @return array{name: string, email: string, role: string} */
    private function facts(Request $request, ?User $person): array
    {
        // Compared as it is kept: in small letters.
        $email = $request->input('email');
        $request->merge(['email' => is_string($email) ? mb_strtolower(trim($email)) : $email]);

        /** @var array{name: string, email: string, role: string} $said */
        $said = $request->validate(Taken::person($person));

        return $said;
    }

    /** A school is never left without an owner who can come in. */
    private function notTheLast(User $person, string $field): void
    {
        $others = User::query()
            ->where('school_id', $person->school_id)
            ->where('role', 'owner')
            ->whereNotNull('joined_at')
            ->whereNull('suspended_at')
            ->where('id', '!=', $person->id)
            ->lockForUpdate()
            ->exists();
        if ($person->isOwner() && ! $others) {
            throw ValidationException::withMessages([$field => 'The school would have no owner left: make somebody else an owner first.']);
        }
    }
}
