<?php

declare(strict_types=1);

use Gravik\Time\Meter;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How long a take's bars last is kept with it: what was practised is added up for whole classes. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->decimal('seconds', 10, 2)->default(0));
        foreach (DB::table('breakdowns')->distinct()->pluck('meter') as $meter) {
            $beats = Meter::parse((string) $meter)->beats();
            DB::table('takes')->whereIn('breakdown_id', DB::table('breakdowns')->select('id')->where('meter', $meter))
                ->update(['seconds' => DB::raw("bars * {$beats} * 60.0 / tempo")]);
        }
    }

    public function down(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('seconds'));
    }
};
