<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use OpenApi\Generator;

final class DescribeApi extends Command
{
    protected $signature = 'gravik:openapi {--check : say whether the file is current instead of writing it}';

    protected $description = 'Generate resources/schema/openapi.json from the controllers and resources';

    public function handle(): int
    {
        $description = Generator::scan([app_path('Http')]);
        $json = $description === null ? '' : $description->toJson()."\n";
        $file = resource_path('schema/openapi.json');
        if ($this->option('check') === true) {
            $current = is_file($file) && file_get_contents($file) === $json;
            $this->output->writeln($current ? 'resources/schema/openapi.json is current.' : 'resources/schema/openapi.json is not current. Run php artisan gravik:openapi and npm run generate:api.');

            return $current ? self::SUCCESS : self::FAILURE;
        }
        file_put_contents($file, $json);

        return self::SUCCESS;
    }
}
