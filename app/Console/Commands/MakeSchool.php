<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\School;
use Illuminate\Console\Command;

/** Fills a database as a big school would in years, to see how lists hold. */
final class MakeSchool extends Command
{
    protected $signature = 'gravik:make-school {--breakdowns=10000} {--students=300} {--takes=100000} {--force : also where breakdowns are kept already}';

    protected $description = 'Fill an empty database with a big school: breakdowns of one teacher, students, takes';

    public function handle(School $school): int
    {
        if (! $school->isNew() && $this->option('force') !== true) {
            $this->error('This database holds somebody\'s work. Set DB_DATABASE to a new file, or say --force.');

            return 2;
        }
        $school->make(
            (int) $this->option('breakdowns'),
            (int) $this->option('students'),
            (int) $this->option('takes'),
            fn (string $said) => $this->line($said),
        );

        return self::SUCCESS;
    }
}
