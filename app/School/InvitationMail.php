<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\User;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Contracts\Mail\Factory;
use Illuminate\Mail\Message;
use Throwable;

/** Sends a link where this school has mail; where it has none, or it fails, the link is there to be passed on all the same. */
final readonly class InvitationMail
{
    public function __construct(private Factory $mail, private Repository $config) {}

    public function canSend(): bool
    {
        return is_string($this->config->get('mail.default'));
    }

    /** @return bool whether it is on its way */
    public function send(User $by, Invitation $invitation, string $path, string $to): bool
    {
        if (! $this->canSend()) {
            return false;
        }
        $what = match ($invitation->kind) {
            InvitationKind::Student => "{$by->name} invites you to practise with Gravik.",
            InvitationKind::Teacher => "{$by->name} invites you to teach with Gravik.",
            InvitationKind::Password => "{$by->name} lets you choose a new password for Gravik.",
        };
        $url = $this->config->get('app.url');
        $link = (is_string($url) ? rtrim($url, '/') : '').$path;
        $text = "{$what}\n\nFollow this link, once, until {$invitation->expires_at->format('j F Y')}:\n\n{$link}\n\n"
            ."If you do not know {$by->name}, leave it: nothing happens then.\n";

        try {
            $this->mail->mailer()->raw($text, static fn (Message $message) => $message->to($to)->subject($what));
        } catch (Throwable $failure) {
            report($failure);

            return false;
        }

        return true;
    }
}
