<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a network's file said of a place and its outlets the last time, what its own words were assigned to, and what
 * every import changed, so that it can be undone as a whole.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['places', 'outlets'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->json('origin')->nullable();
            });
        }
        Schema::table('outlets', static function (Blueprint $table): void {
            $table->index('place_id');
        });
        Schema::create('network_terms', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->string('theirs', 48);
            $table->string('ours', 48);
            $table->timestamps();
            $table->unique(['garage_id', 'kind', 'theirs']);
        });
        Schema::create('network_imports', static function (Blueprint $table): void {
            $table->id();
            $table->ulid()->unique();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->json('counts');
            $table->json('steps');
            $table->timestamp('undone_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('network_imports');
        Schema::dropIfExists('network_terms');
        Schema::table('outlets', static function (Blueprint $table): void {
            $table->dropIndex(['place_id']);
        });
        foreach (['places', 'outlets'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropColumn('origin');
            });
        }
    }
};
