<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Harmozon\Core\Readings\ReadingColumns;

final class SessionPhotoRequest extends FileRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.PhotoRequest::LARGEST_KIB], 'id' => ['required', 'string', 'ulid'], 't_s' => ['required', 'numeric', 'min:0', 'max:'.(int) ReadingColumns::LONGEST_S]];
    }

    public function id(): string
    {
        return strtoupper($this->string('id')->toString());
    }

    public function tMs(): int
    {
        return (int) round(1000 * $this->float('t_s'));
    }
}
