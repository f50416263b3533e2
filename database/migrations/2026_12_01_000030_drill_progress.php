<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How often a person was asked each kind of drill in a garage, how often they were wrong, and when it comes back. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('drill_progress', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 40);
            $table->unsignedInteger('asked')->default(0);
            $table->unsignedInteger('missed')->default(0);
            $table->unsignedTinyInteger('step')->default(0);
            $table->date('due_on');
            $table->timestamps();
            $table->unique(['user_id', 'garage_id', 'kind']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drill_progress');
    }
};
