<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Documents\BreakdownStore;
use App\Models\Role;
use App\Models\User;

final class Import extends CoreCommand
{
    protected $signature = 'gravik:import {file} {--owner= : e-mail of the teacher whose shelf it goes on; the first teacher where left out} {--json}';

    protected $description = 'Put a breakdown, score, chord sheet, tab or MIDI file on the shelf';

    protected function compute(): void
    {
        $draft = $this->draftFile($this->word('file'));
        $email = $this->text('owner');
        $owner = User::query()->when(
            $email !== '',
            static fn ($query) => $query->where('email', $email),
        )->where('role', Role::Teacher)->oldest('id')->first()
            ?? throw UnusableInput::needs($email === '' ? 'There is no teacher yet. Run bin/gravik setup first.' : sprintf(
                'No teacher signs in as %s.',
                $email,
            ));
        $stored = app(BreakdownStore::class)->create($owner, null, $draft->breakdown, 'command line');
        $this->answer(
            ['id' => $stored->id, 'title' => $stored->title, 'unread' => $draft->unread],
            [
                sprintf('"%s" is on the shelf as %s.', $stored->title, $stored->id),
                ...($draft->unread === [] ? [] : ['Not read: '.implode('; ', $draft->unread).'.']),
            ],
        );
    }
}
