<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Documents of garages that arrive in pieces and are brought in beside the server. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('garage_arrivals', static function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('received')->default(0);
            $table->boolean('replaces')->default(false);
            $table->string('state');
            $table->unsignedInteger('claims')->default(0);
            $table->unsignedInteger('readings')->default(0);
            $table->json('moved')->nullable();
            $table->string('problem', 1000)->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('garage_arrivals');
    }
};
