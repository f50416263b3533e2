<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Equipment\PieceKind;

final class PhotoRequest extends FileRequest
{
    public const LARGEST_KIB = 10 * 1024;

    /** A missing piece is reported before a missing file. */
    public function authorize(): bool
    {
        $kind = $this->route('kind');
        assert($kind instanceof PieceKind);
        $kind->model()::query()->where('ulid', $this->route('piece'))->firstOrFail();

        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.self::LARGEST_KIB], 'id' => ['nullable', 'string', 'ulid']];
    }

    public function id(): ?string
    {
        $id = $this->validated('id');

        return is_string($id) ? strtoupper($id) : null;
    }
}
