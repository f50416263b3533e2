<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Adapters that somebody looked at before buying, with what was answered about them: kept as other pieces are. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('wishes', static function (Blueprint $table): void {
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

    public function down(): void
    {
        Schema::dropIfExists('wishes');
    }
};
