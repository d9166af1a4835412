-- tasks are kept as JSON from here on; those that wait in the form before are dropped, all but emails: they are made again as needed
delete from scheduled_tasks where task_name = 'ask-outside';
delete from refresh_tasks where task_name in ('field', 'practice');
