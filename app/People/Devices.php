<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The browsers in which a person is signed in. */
final readonly class Devices
{
    private const TABLE = 'sessions';

    private const LONGEST_AGENT = 200;

    private function __construct(private User $person)
    {
    }

    public static function of(User $person): self
    {
        return new self($person);
    }

    /** @return list<array{id: string, agent: string, address: string, last_seen: string, is_here: bool}> the newest first */
    public function told(string $here): array
    {
        return array_values($this->query()->orderByDesc('last_activity')->get(['id', 'ip_address', 'user_agent', 'last_activity'])->map(static fn (object $row): array => [
            'id' => self::publicId($row->id),
            'agent' => Str::limit(mb_scrub((string) $row->user_agent), self::LONGEST_AGENT),
            'address' => (string) $row->ip_address,
            'last_seen' => Carbon::createFromTimestamp($row->last_activity)->toIso8601ZuluString(),
            'is_here' => $row->id === $here,
        ])->all());
    }

    /** Signs out one browser; false if there is no such browser. Every "remember me" cookie of the person ends, too. */
    public function signOut(string $publicId): bool
    {
        $ids = $this->query()->pluck('id')->filter(static fn (mixed $id): bool => is_string($id) && hash_equals(self::publicId($id), $publicId));
        $this->person->forceFill(['remember_token' => Str::random(60)])->save();

        return $this->end($this->query()->whereIn('id', $ids->all()));
    }

    public function signOutAll(?string $but = null): void
    {
        $this->end($this->query()->when($but !== null, static fn (Builder $q): Builder => $q->where('id', '!=', $but)));
    }

    /** Ends sessions; false if there were none. */
    private function end(Builder $sessions): bool
    {
        return DB::transaction(static function () use ($sessions): bool {
            RevokedSessions::note(array_values(array_filter($sessions->clone()->pluck('id')->all(), is_string(...))));

            return $sessions->delete() > 0;
        });
    }

    /** An id to show: a session's own id would open it. */
    private static function publicId(string $id): string
    {
        return substr(hash('sha256', $id), 0, 24);
    }

    private function query(): Builder
    {
        return DB::table(self::TABLE)->where('user_id', $this->person->id);
    }
}
