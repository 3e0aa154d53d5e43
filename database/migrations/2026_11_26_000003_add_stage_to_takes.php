<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('stage')->default(8);
        });
        Schema::table('calibrations', static function (Blueprint $table): void {
            $table->decimal('was_ms', 8, 2)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->dropColumn('stage');
        });
        Schema::table('calibrations', static function (Blueprint $table): void {
            $table->dropColumn('was_ms');
        });
    }
};
