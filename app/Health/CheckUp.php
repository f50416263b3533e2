<?php

declare(strict_types=1);

namespace App\Health;

use App\Backup\Backups;
use App\Database\Dialect;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Illuminate\Support\Carbon;

/** Everything about a site that whoever looks after it can mend, in ten lines. */
final readonly class CheckUp
{
    /** A backup older than this is no help (s). */
    private const BACKUP_S = 172_800;

    public function __construct(private Readiness $readiness)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...$this->readiness->findings(), self::settings(), self::address(), self::demo(), self::mail(), self::backup(), self::secrets()];
    }

    private static function settings(): Finding
    {
        return match (true) {
            (string) config('app.key') === '' => Finding::bad(Subject::Settings, Message::of('health.no_key')),
            (bool) config('app.debug') => Finding::bad(Subject::Settings, Message::of('health.debug')),
            default => Finding::good(Subject::Settings, Message::of('health.settings')),
        };
    }

    private static function address(): Finding
    {
        $address = new SiteAddress((string) config('app.url'));

        return match (true) {
            $address->isOfThisMachine() && ! $address->isSecure() => Finding::good(Subject::Address, Message::of('health.address_here', url: $address->url)),
            ! $address->isSecure() => Finding::bad(Subject::Address, Message::of('health.address_plain', url: $address->url)),
            ! (bool) config('session.secure') => Finding::bad(Subject::Address, Message::of('health.cookie_plain')),
            default => self::certificate($address),
        };
    }

    private static function certificate(SiteAddress $address): Finding
    {
        $shown = Certificate::shownAt($address);
        $now = (int) Carbon::now()->timestamp;
        $days = Amount::count($shown?->daysLeft($now) ?? 0);

        return match (true) {
            $shown === null => Finding::good(Subject::Address, Message::of('health.certificate_unseen', url: $address->url)),
            $shown->endsAt <= $now => Finding::bad(Subject::Address, Message::of('health.certificate_over', url: $address->url)),
            $shown->endsSoon($now) => Finding::bad(Subject::Address, Message::of('health.certificate_ends', url: $address->url, days: $days)),
            default => Finding::good(Subject::Address, Message::of('health.address', url: $address->url, days: $days)),
        };
    }

    private static function demo(): Finding
    {
        return (bool) config('harmozon.demo') ? Finding::bad(Subject::Demo, Message::of('health.demo_open')) : Finding::good(Subject::Demo, Message::of('health.demo'));
    }

    private static function mail(): Finding
    {
        return config('mail.default') === 'log' ? Finding::bad(Subject::Mail, Message::of('health.mail_log')) : Finding::good(Subject::Mail, Message::of('health.mail'));
    }

    private static function backup(): Finding
    {
        $newest = Backups::newestAt();
        $hours = Amount::count((int) round((time() - $newest) / 3600));

        return match (true) {
            $newest === 0 => Finding::bad(Subject::Backup, Message::of('health.no_backup')),
            time() - $newest > self::BACKUP_S => Finding::bad(Subject::Backup, Message::of('health.backup_old', hours: $hours)),
            default => Finding::good(Subject::Backup, Message::of('health.backup', hours: $hours)),
        };
    }

    private static function secrets(): Finding
    {
        foreach (array_filter([base_path('.env'), Dialect::ofConnection()->file(), storage_path('logs')], is_string(...)) as $path) {
            $mode = @fileperms($path);
            if ($mode !== false && ($mode & 0o077) !== 0) {
                return Finding::bad(Subject::Secrets, Message::of('health.secrets_open', path: $path));
            }
        }

        return Finding::good(Subject::Secrets, Message::of('health.secrets'));
    }
}
