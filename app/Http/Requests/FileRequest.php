<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

class FileRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', $this->largest()]];
    }

    /** The rule of a file's size. */
    protected function largest(): string
    {
        $largest = config('harmozon.largest_file_kib');

        return 'max:'.(is_int($largest) ? $largest : 0);
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }
}
