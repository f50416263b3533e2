<?php

declare(strict_types=1);

namespace App\Photos;

use App\Equipment\PieceKind;
use App\Garage\DeletionPeriod;
use App\Models\ChargeSession;
use App\Models\Photo;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\WrongState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** The photographs of a garage's pieces. */
final class PiecePhotos
{
    private const MOST_OF_A_PIECE = 12;

    private const MOST_OF_A_SESSION = 60;

    private const SESSION = 'session';

    private const MOST_OF_A_GARAGE = 1000;

    /** Everything but the picture itself. */
    private const TOLD = ['id', 'ulid', 'garage_id', 'kind', 'piece', 'name', 'width', 'height', 't_ms', 'created_at', 'deleted_at'];

    /**
     * Adds a photograph to a piece. Sent twice, it is stored once.
     *
     * @param  string|null  $id  given where it was taken; one is made without it
     *
     * @throws FieldError
     */
    public function keep(PieceKind $kind, string $piece, ?string $id, string $file): Photo
    {
        $known = $id === null ? null : self::known($id, $kind->value, $piece);
        if ($known !== null) {
            return $known;
        }
        $name = $kind->model()::query()->where('ulid', $piece)->firstOrFail()->name;
        if ($this->of($kind, $piece)->count() >= self::MOST_OF_A_PIECE) {
            throw self::tooMany(self::MOST_OF_A_PIECE);
        }
        $this->mustHaveRoom();
        $picture = Picture::of($file);

        return Photo::store([...($id === null ? [] : ['ulid' => $id]), 'kind' => $kind->value, 'piece' => $piece, 'name' => $name, 'width' => $picture->width, 'height' => $picture->height], $picture->bytes);
    }

    /** @return Collection<int, Photo> the oldest first, without the pictures themselves */
    public function of(PieceKind $kind, string $piece): Collection
    {
        $kind->model()::withTrashed()->where('ulid', $piece)->firstOrFail();
        $query = Photo::query();
        $query->select(self::TOLD)->where('kind', $kind->value)->where('piece', $piece)->orderBy('id');

        return $query->get();
    }

    /**
     * Adds a photograph to a moment of a session. Sent twice, it is stored once.
     *
     * @param  string  $id  given where it was taken
     *
     * @throws FieldError
     */
    public function keepOfSession(ChargeSession $session, string $id, int $tMs, string $file): Photo
    {
        $known = self::known($id, self::SESSION, $session->ulid);
        if ($known !== null) {
            return $known;
        }
        if ($this->ofSession($session)->count() >= self::MOST_OF_A_SESSION) {
            throw self::tooMany(self::MOST_OF_A_SESSION);
        }
        $this->mustHaveRoom();
        $picture = Picture::of($file);

        return Photo::store([
            'ulid' => $id, 'kind' => self::SESSION, 'piece' => $session->ulid, 'name' => $session->pieces['vehicle']['name'], 't_ms' => $tMs,
            'width' => $picture->width, 'height' => $picture->height,
        ], $picture->bytes);
    }

    /** The photograph with this id, if it was stored before. */
    private static function known(string $id, string $kind, string $piece): ?Photo
    {
        $known = Photo::withTrashed()->where('ulid', $id)->first();
        if (! $known instanceof Photo) {
            return null;
        }

        return $known->kind === $kind && $known->piece === $piece ? $known : throw FieldError::at('id', Message::of('app.id_taken'));
    }

    /** @return Collection<int, Photo> in the order in which they were taken, without the pictures themselves */
    public function ofSession(ChargeSession $session): Collection
    {
        $query = Photo::query();
        $query->select(self::TOLD)->where('kind', self::SESSION)->where('piece', $session->ulid)->orderBy('t_ms')->orderBy('id');

        return $query->get();
    }

    /** Deleted photos take up space until they are destroyed. */
    private function mustHaveRoom(): void
    {
        $kept = Photo::withTrashed()->count();
        if ($kept >= self::MOST_OF_A_GARAGE) {
            $aside = $kept - Photo::query()->count();
            throw $aside === 0 ? self::tooMany(self::MOST_OF_A_GARAGE)
                : WrongState::of('file', Message::of('app.too_many_photos_aside', most: Amount::count(self::MOST_OF_A_GARAGE), aside: Amount::count($aside), days: Amount::count(DeletionPeriod::DAYS)));
        }
    }

    private static function tooMany(int $most): WrongState
    {
        return WrongState::of('file', Message::of('app.too_many_photos', most: Amount::count($most)));
    }

    public function find(string $id): Photo
    {
        return Photo::query()->where('ulid', $id)->firstOrFail();
    }

    public function remove(string $id): void
    {
        $this->find($id)->delete();
    }

    public function restore(string $id): Photo
    {
        return DeletionPeriod::restored(Photo::class, $id);
    }

    /** @return array{id: string, at: string, width: int, height: int, t_s: float|null} */
    public static function told(Photo $photo): array
    {
        return ['t_s' => $photo->t_ms === null ? null : $photo->t_ms / 1000, 'id' => $photo->ulid, 'at' => Carbon::instance($photo->created_at)->toIso8601ZuluString(), 'width' => $photo->width, 'height' => $photo->height];
    }
}
