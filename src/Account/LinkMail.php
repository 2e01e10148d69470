<?php

declare(strict_types=1);

namespace App\Account;

use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Email;

/** Sends links by mail where a mail server is set. Without one they are shown and printed. */
final readonly class LinkMail
{
    public function __construct(
        private MailerInterface $mailer,
        private LoggerInterface $log,
        #[Autowire('%env(MAILER_DSN)%')] private string $server,
        #[Autowire('%env(MAILER_FROM)%')] private string $from,
    ) {
    }

    public function isSet(): bool
    {
        return '' !== $this->server && '' !== $this->from;
    }

    /**
     * @param string $link the whole address
     *
     * @return bool whether the mail server took it
     */
    public function send(string $to, Invitation $invitation, string $link): bool
    {
        if (!$this->isSet()) {
            return false;
        }
        $mail = (new Email())
            ->from($this->from)
            ->to($to)
            ->subject(
                null === $invitation->renews
                    ? \sprintf('%s invites you', $invitation->invitedBy->name)
                    : 'A new password',
            )
            ->text(
                \sprintf(
                    "%s,\n\n%s made this link for you. It works once, until %s:\n\n%s\n\nIf you do not expect it, leave it alone.\n",
                    $invitation->name,
                    $invitation->invitedBy->name,
                    $invitation->expiresAt->format('j F Y'),
                    $link,
                ),
            );
        try {
            $this->mailer->send($mail);
        } catch (TransportExceptionInterface $trouble) {
            $this->log->warning('A link could not be sent by mail.', ['exception' => $trouble]);

            return false;
        }

        return true;
    }
}
