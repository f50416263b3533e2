<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Database\Dialect;
use App\Garage\CurrentGarage;
use App\Garage\Permission;
use App\Garage\Role;
use App\Models\Invitation;
use App\Models\Membership;
use App\People\AppLinks;
use App\People\SignedInUser;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** The people in the open garage, and its invitations. */
final class PeopleController extends Controller
{
    public function __construct(private readonly CurrentGarage $garage, private readonly Voice $voice)
    {
    }

    /** Only owners see addresses and invitations. */
    public function index(): JsonResponse
    {
        $me = SignedInUser::signedIn();
        $keeps = $me->role()?->may(Permission::Keep) === true;

        return response()->json([
            'people' => Membership::query()->with('user')->where('garage_id', $this->garage->id())->get()->sortBy('id')->values()->map(fn (Membership $m): array => [
                'id' => $m->user->ulid, 'name' => $m->user->name, 'email' => $keeps ? $m->user->email : null,
                'role' => $m->role->value, 'role_words' => $this->voice->say($m->role->message()), 'is_you' => $m->user_id === $me->id,
            ]),
            'invitations' => $keeps ? $this->invitations()->map(fn (Invitation $i): array => $this->told($i)) : [],
            'roles' => array_map(fn (Role $r): array => ['role' => $r->value, 'words' => $this->voice->say($r->message()), 'says' => $this->voice->say($r->says())], Role::cases()),
        ]);
    }

    /** The link is only shown once, here. */
    public function invite(Request $request): JsonResponse
    {
        $typed = $request->validate(['role' => ['required', Rule::enum(Role::class)], 'note' => ['nullable', 'string', 'max:120']]);
        $token = Invitation::newToken();
        $invitation = Invitation::query()->create([
            'garage_id' => $this->garage->id(), 'invited_by' => SignedInUser::signedIn()->id, 'role' => $typed['role'], 'note' => $typed['note'] ?? '',
            'token_hash' => Invitation::hashOf($token), 'expires_at' => Carbon::now()->addDays(Invitation::DAYS),
        ]);

        return response()->json(['link' => AppLinks::invitation($token), ...$this->told($invitation)], 201);
    }

    public function withdraw(string $invitation): Response
    {
        $this->invitations()->firstWhere('ulid', $invitation)?->delete() ?? $this->none();

        return response()->noContent();
    }

    public function role(Request $request, string $person): Response
    {
        $membership = $this->membership($person);
        $typed = $request->validate(['role' => ['required', Rule::enum(Role::class)]]);
        $role = Role::from((string) $typed['role']);
        DB::transaction(function () use ($membership, $role): void {
            Dialect::ofConnection()->peoplesTurn();
            $this->mustLeaveAKeeper($membership, $role);
            $membership->update(['role' => $role]);
        });

        return response()->noContent();
    }

    /** Somebody leaves, or is removed; only owners remove others. */
    public function remove(string $person): Response
    {
        $me = SignedInUser::signedIn();
        if ($person !== $me->ulid && $me->role()?->may(Permission::Keep) !== true) {
            abort(403, $this->voice->say(Message::of('app.may_not', role: ($me->role() ?? Role::Reader)->message(), act: Permission::Keep->message())));
        }
        DB::transaction(function () use ($person): void {
            Dialect::ofConnection()->peoplesTurn();
            $membership = $this->membership($person);
            $this->mustLeaveAKeeper($membership, null);
            $membership->leave();
        });

        return response()->noContent();
    }

    private function mustLeaveAKeeper(Membership $membership, ?Role $next): void
    {
        if ($membership->role === Role::Keeper && $next !== Role::Keeper && ! $membership->hasOtherKeeper()) {
            throw ValidationException::withMessages(['role' => $this->voice->say(Message::of('app.last_keeper', garage: $membership->garage->name))]);
        }
    }

    private function membership(string $person): Membership
    {
        return Membership::query()->with(['user', 'garage'])->where('garage_id', $this->garage->id())->whereRelation('user', 'ulid', $person)->first() ?? $this->none();
    }

    private function none(): never
    {
        abort(404, $this->voice->say(Message::of('app.no_such_record')));
    }

    /** @return Collection<int, Invitation> those that may still be used */
    private function invitations(): Collection
    {
        return Invitation::unused()->where('garage_id', $this->garage->id())->get()->sortBy('id')->values();
    }

    /** @return array<string, string> */
    private function told(Invitation $invitation): array
    {
        return [
            'id' => $invitation->ulid, 'role' => $invitation->role->value, 'role_words' => $this->voice->say($invitation->role->message()),
            'note' => $invitation->note, 'expires_at' => $invitation->expires_at->toIso8601ZuluString(),
        ];
    }
}
