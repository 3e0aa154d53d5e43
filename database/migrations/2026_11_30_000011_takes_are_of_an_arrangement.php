<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    /** Takes until now were judged as with the band. */
    public function up(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->string('arrangement', 20)->default('with-band'));
    }

    public function down(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('arrangement'));
    }
};
