<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A garage that is moved keeps the ids of its pieces, also where its former self still stands. */
return new class extends Migration
{
    private const TABLES = ['vehicles', 'adapters', 'places', 'outlets'];

    public function up(): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropUnique(['ulid']);
                $table->unique(['garage_id', 'ulid']);
            });
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropUnique(['garage_id', 'ulid']);
                $table->unique(['ulid']);
            });
        }
    }
};
