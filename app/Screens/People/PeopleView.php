<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** One's own account and devices; for owners also the people of the crew and the links that are open. */
final readonly class PeopleView implements View
{
    use WrittenRecord;

    /**
     * @param  bool  $leads  whether the person may invite and change roles
     * @param  bool  $factor  whether a second factor is on
     * @param  int  $recovery  recovery codes that are left
     * @param  list<DeviceView>  $devices
     * @param  list<PersonView>  $people  of the crew
     * @param  list<OpenLink>  $links
     * @param  list<RoleView>  $roles
     * @param  list<RecordLine>  $record  who did what, the newest first
     * @param  string  $made  address of a link that was made just now; empty otherwise
     * @param  string  $sent  e-mail address that it was sent to; empty where it is only shown
     * @param  bool  $mails  whether the server sends mail
     * @param  list<JobChoice>  $jobs  that guests can be invited to, the latest changed first
     */
    public function __construct(
        public int $own,
        public bool $leads,
        public bool $factor,
        public int $recovery,
        #[Field(of: DeviceView::class)] public array $devices,
        #[Field(of: PersonView::class)] public array $people,
        #[Field(of: OpenLink::class)] public array $links,
        #[Field(of: RoleView::class)] public array $roles,
        #[Field(of: RecordLine::class)] public array $record,
        public string $made,
        public string $sent,
        public bool $mails,
        #[Field(of: JobChoice::class)] public array $jobs,
    ) {}
}
