<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use Gravik\CoreException;
use Gravik\Formats\BreakdownJson;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Rewrites what is stored in older versions of the document, block by block: it can be stopped and run again at any time. */
final class Upgrade extends Command
{
    protected $signature = 'gravik:upgrade {--block=200 : documents rewritten in one transaction}';

    protected $description = 'Rewrite stored breakdowns and their versions in the document version of today';

    public function handle(BreakdownJson $json): int
    {
        $failed = [
            ...$this->rewrite('breakdowns', Breakdown::withTrashed(), $json),
            ...$this->rewrite('versions', BreakdownRevision::query(), $json),
        ];
        foreach ($failed as $line) {
            $this->warn($line);
        }

        return $failed === [] ? self::SUCCESS : self::FAILURE;
    }

    /**
     * @template T of Breakdown|BreakdownRevision
     *
     * @param Builder<T> $stored
     *
     * @return list<string> those that could not be read, with the reason
     */
    private function rewrite(string $what, Builder $stored, BreakdownJson $json): array
    {
        $today = sprintf('{"format":"%s","version":%d,%%', BreakdownJson::FORMAT, BreakdownJson::VERSION);
        $done = 0;
        $failed = [];
        $stored->toBase()->where(
            'document',
            'not like',
            $today,
        )->select(['id', 'document'])->chunkById(max(
            1,
            (int) $this->option('block'),
        ), function ($rows) use ($stored, $json, $what, &$done, &$failed): void {
            DB::transaction(static function () use ($rows, $stored, $json, $what, &$done, &$failed): void {
                foreach ($rows as $row) {
                    try {
                        $document = $json->write($json->parse($row->document));
                    } catch (CoreException $problem) {
                        $failed[] = "{$what} {$row->id}: {$problem->getMessage()}";

                        continue;
                    }
                    (clone $stored)->toBase()->where('id', $row->id)->update(['document' => json_encode(
                        $document,
                        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                    )]);
                    $done++;
                }
            });
            $this->output->writeln("{$done} {$what} …");
        });
        $this->info("{$done} {$what} rewritten.");

        return $failed;
    }
}
