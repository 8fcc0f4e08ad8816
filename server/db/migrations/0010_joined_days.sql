CREATE TABLE `joins` (
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`into_id` text NOT NULL,
	PRIMARY KEY(`owner_id`, `trip_id`),
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `joins_by_day` ON `joins` (`owner_id`,`into_id`);