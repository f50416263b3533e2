<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Equipment keeps its plate in `spec`, in the words of the case file, so that there is one way into the core. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('vehicles', static function (Blueprint $table): void {
            self::piece($table);
        });
        Schema::create('adapters', static function (Blueprint $table): void {
            self::piece($table);
            $table->string('tag', 4);
        });
        Schema::create('places', static function (Blueprint $table): void {
            $table->id();
            $table->ulid()->unique();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->unsignedInteger('position')->default(0);
            $table->timestamps();
        });
        Schema::create('outlets', static function (Blueprint $table): void {
            self::piece($table);
            $table->foreignId('place_id')->constrained()->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        foreach (['outlets', 'places', 'adapters', 'vehicles'] as $table) {
            Schema::dropIfExists($table);
        }
    }

    private static function piece(Blueprint $table): void
    {
        $table->id();
        $table->ulid()->unique();
        $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
        $table->string('name');
        $table->string('blurb')->default('');
        $table->unsignedInteger('position')->default(0);
        $table->json('spec');
        $table->timestamps();
        $table->index(['garage_id', 'position']);
    }
};
