<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a driver sets up before a visit, and a choice of places and cars to be looked at together: kept as other pieces are. */
return new class extends Migration
{
    private const TABLES = ['networks', 'tours'];

    public function up(): void
    {
        foreach (self::TABLES as $name) {
            Schema::create($name, static function (Blueprint $table): void {
                $table->id();
                $table->ulid();
                $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
                $table->string('name');
                $table->string('blurb')->default('');
                $table->unsignedInteger('position')->default(0);
                $table->json('spec');
                $table->unsignedInteger('version')->default(1);
                $table->timestamps();
                $table->softDeletes();
                $table->unique(['garage_id', 'ulid']);
                $table->index(['garage_id', 'position']);
            });
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $name) {
            Schema::dropIfExists($name);
        }
    }
};
