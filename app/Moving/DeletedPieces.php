<?php

declare(strict_types=1);

namespace App\Moving;

use App\Equipment\PieceKind;
use App\Garage\DeletionPeriod;
use App\Models\ChargeSession;
use App\Models\Photo;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/** Deleted pieces, sessions and photos that can still be restored. */
final class DeletedPieces
{
    /** No list is longer: a network's file may delete a region at once. */
    private const MOST = 500;

    /** @return list<array{kind: string, id: string, name: string, at: string}> the newest first */
    public function told(): array
    {
        $told = [];
        foreach (PieceKind::cases() as $kind) {
            foreach (self::newest($kind->model()) as $piece) {
                $told[] = self::line($kind->value, $piece, (string) $piece->getAttribute('name'));
            }
        }
        foreach (self::newest(ChargeSession::class) as $session) {
            assert($session instanceof ChargeSession);
            $told[] = self::line('sessions', $session, $session->pieces['vehicle']['name'].' · '.$session->pieces['outlet']['name']);
        }
        foreach (self::newest(Photo::class) as $photo) {
            $told[] = self::line('photos', $photo, (string) $photo->getAttribute('name'));
        }
        usort($told, static fn (array $a, array $b): int => [$b['at'], $a['name']] <=> [$a['at'], $b['name']]);

        return array_slice($told, 0, self::MOST);
    }

    /**
     * @param  class-string<Model>  $model  one that is soft-deleted
     * @return iterable<Model>
     */
    private static function newest(string $model): iterable
    {
        $query = $model::query()->withoutGlobalScope(SoftDeletingScope::class)->where('deleted_at', '>', DeletionPeriod::since())->where('deleted_at', '<=', Carbon::now());
        $query->latest('deleted_at')->limit(self::MOST);

        // Of a photograph only its name is listed, not the picture.
        return $model === Photo::class ? $query->get(['id', 'ulid', 'name', 'deleted_at']) : $query->get();
    }

    /** @return array{kind: string, id: string, name: string, at: string} */
    private static function line(string $kind, Model $of, string $name): array
    {
        $at = $of->getAttribute('deleted_at');

        return ['kind' => $kind, 'id' => (string) $of->getAttribute('ulid'), 'name' => $name, 'at' => $at instanceof Carbon ? $at->toIso8601ZuluString() : ''];
    }
}
