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
        $largest = config('harmozon.largest_file_kib');

        return ['file' => ['required', 'file', 'max:'.(is_int($largest) ? $largest : 0)]];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }
}
