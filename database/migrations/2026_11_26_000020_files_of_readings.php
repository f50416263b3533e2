<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Readings files on their way into a session: how much of each has arrived, how it is read, how far it was taken. What an
 * instrument's files were taken for is remembered by their header. `jobs` is the framework's own queue.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('readings_imports', static function (Blueprint $table): void {
            $table->id();
            $table->ulid()->unique();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('charge_session_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('received')->default(0);
            $table->string('fingerprint', 64)->nullable();
            $table->unsignedInteger('lines')->default(0);
            $table->string('source', 64)->nullable();
            $table->json('mapping')->nullable();
            $table->string('mapping_from', 12)->default('ours');
            $table->bigInteger('shift_ms')->default(0);
            $table->string('state', 12)->index();
            // Who takes it: whoever claimed it last. The one before notices with its next part.
            $table->ulid('worker')->nullable();
            // How often it was claimed since the last part that was written.
            $table->unsignedInteger('claims')->default(0);
            $table->unsignedInteger('lines_done')->default(0);
            foreach (['understood', 'added', 'noted', 'rejected'] as $count) {
                $table->unsignedInteger($count)->default(0);
            }
            $table->string('problem', 1000)->nullable();
            $table->timestamps();
        });
        Schema::create('readings_sources', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('source', 64);
            $table->string('name', 200);
            $table->json('mapping');
            $table->timestamps();
            $table->unique(['garage_id', 'source']);
        });
        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('jobs');
        Schema::dropIfExists('readings_sources');
        Schema::dropIfExists('readings_imports');
    }
};
