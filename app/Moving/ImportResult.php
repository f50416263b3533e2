<?php

declare(strict_types=1);

namespace App\Moving;

/** What importing a document changed in a garage. */
final class ImportResult
{
    public int $added = 0;

    public int $replaced = 0;

    public int $same = 0;

    /** @var list<string> names of pieces that differ here and were left as they are */
    public array $kept = [];

    /** The garage's new name; null where it keeps its own. */
    public ?string $renamed = null;

    /** Whether the file's name, units, currency and time zone were taken. */
    public SettingsMoved $settings = SettingsMoved::Same;

    /** @return array{added: int, replaced: int, same: int, kept: list<string>, renamed: string|null, settings: string} */
    public function toArray(): array
    {
        return ['added' => $this->added, 'replaced' => $this->replaced, 'same' => $this->same, 'kept' => $this->kept, 'renamed' => $this->renamed, 'settings' => $this->settings->value];
    }
}
