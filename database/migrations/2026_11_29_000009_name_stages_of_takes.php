<?php

declare(strict_types=1);

use Gravik\Breakdown\Stage;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    /** Takes of the usual stage were takes of the whole song. */
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->string('stage_named', 120)->default('');
        });
        foreach (Stage::cases() as $stage) {
            if ($stage !== Stage::usual()) {
                DB::table('takes')->where('stage', $stage->value)->update(['stage_named' => $stage->slug()]);
            }
        }
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('stage'));
        Schema::table('takes', static fn (Blueprint $table) => $table->renameColumn('stage_named', 'stage'));
    }

    public function down(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('stage_number')->default(Stage::usual()->value);
        });
        foreach (Stage::cases() as $stage) {
            DB::table('takes')->where('stage', 'like', $stage->slug().'%')->update(['stage_number' => $stage->value]);
        }
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('stage'));
        Schema::table('takes', static fn (Blueprint $table) => $table->renameColumn('stage_number', 'stage'));
    }
};
