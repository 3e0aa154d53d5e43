<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\ChordMaterial;
use App\Bench\Material;
use App\Console\CoreCommand;
use App\Console\UnusableInput;
use Database\Seeders\DemoBreakdowns;
use Gravik\Formats\BreakdownJson;

final class MakeMaterial extends CoreCommand
{
    protected $signature = 'gravik:material {folder : to write into} {--half=seen : seen or unseen} {--takes=60}
        {--chords : comping whose chords are to be heard, every third take in grips without a root} {--json}';

    protected $description = 'Takes by which the ear is measured: five ways of making sound, six places, each with its truth and its plan';

    protected function compute(): void
    {
        $folder = rtrim($this->word('folder'), '/');
        is_dir($folder) && is_writable($folder) || throw UnusableInput::cannotWrite($folder);
        $half = $this->text('half', 'seen');
        isset(Material::HALVES[$half]) || throw UnusableInput::needs('There are two halves: seen and unseen.');
        $material = $this->option('chords') === true ? new ChordMaterial(DemoBreakdowns::all()[1]) : new Material(DemoBreakdowns::all()[1]);
        $json = new BreakdownJson();
        $count = max(1, $this->whole('takes', 60));
        for ($number = 1; $number <= $count; $number++) {
            $take = $material->take($half, $number);
            file_put_contents("{$folder}/{$take['name']}.wav", $take['wav']);
            file_put_contents("{$folder}/{$take['name']}.truth.json", json_encode($take['truth'], JSON_THROW_ON_ERROR));
            file_put_contents("{$folder}/{$take['name']}.gravik.json", json_encode($json->write($take['plan']), JSON_THROW_ON_ERROR));
        }
        $this->answer(['takes' => $count], [
            "{$count} takes are in {$folder}. Measure the ear by them: php artisan gravik:listen {$folder} --against",
        ]);
    }
}
