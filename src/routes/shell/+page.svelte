<!-- It is never looked at: whatever address it stands for is made in its place. -->
