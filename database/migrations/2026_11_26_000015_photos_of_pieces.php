<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Photographs stand in the database: they are private to their garage, saved with it, and gone with it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('photos', static function (Blueprint $table): void {
            $table->id();
            $table->ulid();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('piece');
            $table->string('name');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->binary('bytes');
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['garage_id', 'ulid']);
            $table->index(['garage_id', 'kind', 'piece']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('photos');
    }
};
