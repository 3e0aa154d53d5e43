<?php

declare(strict_types=1);

namespace App\Documents;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Prints a page to PDF by the browser that is installed: real text, our faces, the same picture as on the screen. */
final readonly class PagePrinter
{
    private const SECONDS = 30;

    private const NAMES = ['chromium', 'chromium-browser', 'google-chrome'];

    /** @throws NoPrinter where there is no such browser, or it does not answer */
    public function pdf(string $html): string
    {
        $browser = self::browser() ?? throw NoPrinter::notInstalled();
        $folder = sys_get_temp_dir().'/gravik-print-'.bin2hex(random_bytes(6));
        File::makeDirectory($folder, 0o700);

        try {
            File::put("{$folder}/page.html", $html);
            $process = new Process([
                $browser, '--headless=new', '--no-sandbox', '--disable-gpu', '--no-pdf-header-footer', '--no-first-run',
                '--disable-extensions', '--disable-background-networking', "--user-data-dir={$folder}/profile",
                "--print-to-pdf={$folder}/page.pdf", "file://{$folder}/page.html",
            ], timeout: self::SECONDS, env: ['HOME' => $folder]);
            $process->run();

            return is_file("{$folder}/page.pdf") ? File::get("{$folder}/page.pdf") : throw NoPrinter::didNotPrint();
        } catch (ProcessTimedOutException) {
            throw NoPrinter::didNotPrint();
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private static function browser(): ?string
    {
        foreach (self::NAMES as $name) {
            $found = (new ExecutableFinder())->find($name);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }
}
