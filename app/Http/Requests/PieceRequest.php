<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The next piece of a file, as it is, and how much of the file came before it. */
final class PieceRequest extends FormRequest
{
    /** More digits than any file has bytes. */
    private const MOST_DIGITS = 15;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** Bytes sent before; anything that isn't a number means the beginning. */
    public function from(): int
    {
        $from = $this->query('from');

        return is_string($from) && ctype_digit($from) && strlen($from) <= self::MOST_DIGITS ? (int) $from : 0;
    }

    /** @return resource */
    public function piece()
    {
        return $this->getContent(true);
    }
}
