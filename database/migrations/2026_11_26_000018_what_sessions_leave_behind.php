<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a finished session says of its adapters, its stall, its car and our forecast, so that a history need not be
 * measured again; which sessions another is held against; and by which plates it was judged before.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('session_facts', static function (Blueprint $table): void {
            $table->foreignId('charge_session_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('vehicle', 26);
            $table->string('outlet', 26);
            $table->json('facts');
            $table->index(['garage_id', 'vehicle']);
            $table->index(['garage_id', 'outlet']);
        });
        Schema::create('session_adapters', static function (Blueprint $table): void {
            $table->foreignId('charge_session_id')->constrained()->cascadeOnDelete();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->string('adapter', 26);
            $table->json('used');
            $table->primary(['charge_session_id', 'adapter']);
            $table->index(['garage_id', 'adapter']);
        });
        Schema::create('session_baselines', static function (Blueprint $table): void {
            $table->foreignId('charge_session_id')->constrained()->cascadeOnDelete();
            $table->foreignId('baseline_id')->constrained('charge_sessions')->cascadeOnDelete();
            $table->primary(['charge_session_id', 'baseline_id']);
        });
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            // The plates, verdict and summary before it was last judged anew.
            $table->json('judged_before')->nullable();
            $table->dateTime('judged_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('session_baselines');
        Schema::dropIfExists('session_adapters');
        Schema::dropIfExists('session_facts');
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropColumn(['judged_before', 'judged_at']);
        });
    }
};
